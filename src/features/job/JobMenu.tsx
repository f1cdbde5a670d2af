import { router } from 'expo-router';
import { IconButton, Menu } from 'react-native-paper';

import { download } from '@/files/share';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useJobId, useJobPart } from '@/features/jobs/useJob';
import { useAppDispatch, useAppStore } from '@/store/store';
import { DropMenu } from '@/ui/DropMenu';

/** What one does with a job as a whole. */
export function JobMenu() {
  const jobId = useJobId();
  const archived = useJobPart((job) => job.archived);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const exportJob = async () => {
    const { entities, drafts } = store.getState().jobs;
    const job = entities[jobId];
    if (!job) return;
    const { jobFileName, writeJobFile } = await import('@/files/jsonFiles');
    const unfinished = Object.fromEntries(
      Object.entries(drafts[jobId] ?? {}).map(([path, d]) => [path, d.text]),
    );
    download(jobFileName(job), writeJobFile(job, unfinished, new Date().toISOString()));
  };
  const deleteJob = () => {
    router.navigate('/');
    dispatch(jobActions.jobRemoved(jobId));
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
            title={archived ? 'Take out of the archive' : 'Put in the archive'}
            onPress={() => {
              close();
              dispatch(jobActions.jobArchived({ jobId, archived: !archived }));
              if (!archived) router.navigate('/');
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
