import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ ShelfScreen }) => ShelfScreen);
