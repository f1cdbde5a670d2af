import { router } from 'expo-router';
import { IconButton, Menu } from 'react-native-paper';

import { download } from '@/files/share';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useDrafts, useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';
import { DropMenu } from '@/ui/DropMenu';

/** What one does with a job as a whole. */
export function JobMenu() {
  const job = useJob();
  const drafts = useDrafts();
  const dispatch = useAppDispatch();
  const exportJob = async () => {
    const { jobFileName, writeJobFile } = await import('@/files/jobFile');
    const unfinished = Object.fromEntries(
      Object.entries(drafts).map(([path, d]) => [path, d.text]),
    );
    download(jobFileName(job), writeJobFile(job, unfinished, new Date().toISOString()));
  };
  const deleteJob = () => {
    router.navigate('/');
    dispatch(jobActions.jobRemoved(job.id));
  };
  return (
    <DropMenu
      anchor={(open) => (
        <IconButton
          icon="dots-vertical"
          aria-label="Job menu"
          size={24}
          style={{ width: 48, height: 48, margin: 0 }}
          onPress={open}
        />
      )}
    >
      {(close) => (
        <>
          <Menu.Item
            leadingIcon="download"
            title="Export as a file"
            onPress={() => {
              close();
              void exportJob();
            }}
          />
          <Menu.Item
            leadingIcon="archive-outline"
            title={job.archived ? 'Take out of the archive' : 'Put in the archive'}
            onPress={() => {
              close();
              dispatch(jobActions.jobArchived({ jobId: job.id, archived: !job.archived }));
              if (!job.archived) router.navigate('/');
            }}
          />
          <Menu.Item
            leadingIcon="delete-outline"
            title="Delete the job"
            onPress={() => {
              close();
              deleteJob();
            }}
          />
        </>
      )}
    </DropMenu>
  );
}
