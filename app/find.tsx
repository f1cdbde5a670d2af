export { FindScreen as default } from '@/features/find/FindScreen';
