export { CutawayScreen as default } from '@/features/cutaway/CutawayScreen';
