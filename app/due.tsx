import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ DueScreen }) => DueScreen);
