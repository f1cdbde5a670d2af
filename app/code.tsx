export { CodeScreen as default } from '@/features/code/CodeScreen';
