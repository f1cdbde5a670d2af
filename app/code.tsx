import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ CodeScreen }) => CodeScreen);
