import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ LibraryScreen }) => LibraryScreen);
