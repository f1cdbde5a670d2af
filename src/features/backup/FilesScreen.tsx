import { WhenRead } from '@/features/jobs/WhenRead';
import { Page } from '@/features/page/Page';

import { StoragePanel } from './StoragePanel';
import { Parts, Tables, ExportPanel } from './ExportPanel';
import { ImportPanel } from './ImportPanel';

/** The whole workshop taken away in one file, and taken in again. */
export function FilesScreen() {
  return (
    <Page title="Files and backup" gap={20}>
      <WhenRead>
        <ExportPanel />
        <ImportPanel />
        <Parts />
        <Tables />
      </WhenRead>
      <StoragePanel />
    </Page>
  );
}
