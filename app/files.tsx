import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ FilesScreen }) => FilesScreen);
