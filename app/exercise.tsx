export { ExerciseScreen as default } from '@/features/learn/ExerciseScreen';
