import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ CutawayScreen }) => CutawayScreen);
