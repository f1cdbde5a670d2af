export { LearnScreen as default } from '@/features/learn/LearnScreen';
