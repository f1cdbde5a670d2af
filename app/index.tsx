export { JobListScreen as default } from '@/features/jobs/JobListScreen';
