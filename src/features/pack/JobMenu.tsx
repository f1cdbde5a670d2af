import { router } from 'expo-router';
import { useState } from 'react';
import { IconButton, Menu } from 'react-native-paper';

import { download } from '@/files/share';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useDrafts, useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';

/** What one does with a job as a whole. */
export function JobMenu() {
  const [open, setOpen] = useState(false);
  const job = useJob();
  const drafts = useDrafts();
  const dispatch = useAppDispatch();
  const exportJob = async () => {
    setOpen(false);
    const { jobFileName, writeJobFile } = await import('@/files/jobFile');
    const unfinished = Object.fromEntries(
      Object.entries(drafts).map(([path, d]) => [path, d.text]),
    );
    download(jobFileName(job), writeJobFile(job, unfinished, new Date().toISOString()));
  };
  return (
    <Menu
      visible={open}
      onDismiss={() => setOpen(false)}
      anchorPosition="bottom"
      anchor={
        <IconButton
          icon="dots-vertical"
          aria-label="Job menu"
          size={24}
          style={{ width: 48, height: 48, margin: 0 }}
          onPress={() => setOpen(true)}
        />
      }
    >
      <Menu.Item leadingIcon="download" title="Export as a file" onPress={() => void exportJob()} />
      <Menu.Item
        leadingIcon="delete-outline"
        title="Delete the job"
        onPress={() => {
          setOpen(false);
          router.navigate('/');
          dispatch(jobActions.jobRemoved(job.id));
        }}
      />
    </Menu>
  );
}
