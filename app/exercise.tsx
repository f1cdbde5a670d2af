import { onWorkbench } from '@/features/onWorkbench';

export default onWorkbench(({ ExerciseScreen }) => ExerciseScreen);
