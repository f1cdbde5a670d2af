import { archiveJob } from '@/state/jobs/editJob';
import { router } from 'expo-router';
import { Menu } from 'react-native-paper';

import { sectionSvg } from '@/files/sectionSvg';
import { canShare, download, share } from '@/files/share';
import { jobActions } from '@/state/jobs/jobsSlice';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJobId, useJobPart } from '@/state/jobs/useJob';
import { useAppDispatch, useAppStore } from '@/state/store';
import { DropMenu } from '@/ui/DropMenu';
import { IconKey } from '@/ui/IconKey';

/** Of the drawing as a file, in points. */
const SVG_WIDTH = 460;
const SVG_HEIGHT = 420;

/** Actions on a whole job. */
export function JobMenu() {
  const jobId = useJobId();
  const archived = useJobPart((job) => job.archived);
  const plates = useJobPart((job) => job.pack.plates.length > 0);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const exportJob = async (
    hand: (name: string, content: string, type: string) => Promise<void> | void,
  ) => {
    const { entities, drafts } = store.getState().jobs;
    const job = entities[jobId];
    if (!job) return;
    const { jobFileName, writeJobFile } = await import('@/files/jsonFiles');
    const unfinished = Object.fromEntries(
      Object.entries(drafts[jobId] ?? {}).map(([path, d]) => [path, d.text]),
    );
    await hand(
      jobFileName(job),
      writeJobFile(job, unfinished, new Date().toISOString()),
      'application/json',
    );
  };
  const exportSection = () => {
    const job = store.getState().jobs.entities[jobId];
    if (!job) return;
    const evaluation = evaluationOf(job);
    const svg = sectionSvg(job, evaluation, {
      width: SVG_WIDTH,
      height: SVG_HEIGHT,
      units: store.getState().display.units,
      wrong: new Set(evaluation.problems.flatMap((p) => p.plateId ?? [])),
    });
    download(`${job.number || 'pack'} section.svg`, svg, 'image/svg+xml');
  };
  const deleteJob = () => {
    router.navigate('/');
    dispatch(jobActions.jobRemoved(jobId));
  };
  return (
    <DropMenu anchor={(open) => <IconKey icon="dots-vertical" label="Job menu" onPress={open} />}>
      {(close) => (
        <>
          <Menu.Item
            leadingIcon="download"
            title="Export file"
            onPress={() => {
              close();
              void exportJob(download);
            }}
          />
          {canShare() ? (
            <Menu.Item
              leadingIcon="export-variant"
              title="Share file"
              onPress={() => {
                close();
                void exportJob(share);
              }}
            />
          ) : null}
          <Menu.Item
            leadingIcon="qrcode"
            title="Show pack code"
            onPress={() => {
              close();
              router.navigate({ pathname: '/code', params: { job: jobId } });
            }}
          />
          {plates ? (
            <Menu.Item
              leadingIcon="play"
              title="Cutaway"
              onPress={() => {
                close();
                router.navigate({ pathname: '/cutaway', params: { job: jobId } });
              }}
            />
          ) : null}
          {plates ? (
            <Menu.Item
              leadingIcon="layers-outline"
              title="Export section (SVG)"
              onPress={() => {
                close();
                exportSection();
              }}
            />
          ) : null}
          <Menu.Item
            leadingIcon="book-open-variant"
            title="Glossary"
            onPress={() => {
              close();
              router.navigate({ pathname: '/learn', params: { part: 'words' } });
            }}
          />
          <Menu.Item
            leadingIcon="archive-outline"
            title={archived ? 'Restore from archive' : 'Archive'}
            onPress={() => {
              close();
              dispatch(archiveJob(jobId, !archived));
              if (!archived) router.navigate('/');
            }}
          />
          <Menu.Item
            leadingIcon="delete-outline"
            title="Delete job"
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
