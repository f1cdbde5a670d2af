export { DueScreen as default } from '@/features/due/DueScreen';
