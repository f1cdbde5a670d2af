import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ FindScreen }) => FindScreen);
