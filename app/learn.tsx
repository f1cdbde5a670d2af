import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ LearnScreen }) => LearnScreen);
