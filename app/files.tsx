export { FilesScreen as default } from '@/features/backup/FilesScreen';
