import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';

import type { Job } from '@/core/job/types';
import type { FieldPath } from '@/core/job/fieldPath';
import { writeOrderCsv } from '@/files/csvFiles';
import type { PageSize } from '@/files/pdf/definition';
import { UNPRINTABLE, unprintable } from '@/files/pdf/letters';
import { paperOf } from '@/files/pdf/paperOf';
import type { JobPdf, SheetKind } from '@/files/pdf/paperOf';
import { orderList } from '@/core/paper/orderList';
import { useUnits } from '@/features/display/useUnits';
import { useDrafts, useJob } from '@/state/jobs/useJob';
import { download } from '@/files/share';
import { reportFault } from '@/storage/faults';
import { pictures } from '@/storage/pictures';
import { PaperMaker } from '@/workers/paperClient';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { NoticeBar } from '@/ui/NoticeBar';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

const SHEET_NAME: Readonly<Record<SheetKind, string>> = {
  job: 'Job sheet',
  rider: 'Customer sheet',
  order: 'Order list',
};

const WARM_AFTER_MS = 400;
/** Letters that are named one by one. */
const NAMED = 12;

const PAGES = [
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: 'Letter' },
] as const;

/** The photographs of its findings, as data URLs. */
async function photosOf({ findings = [] }: Job): Promise<Record<string, string>> {
  const ids = [...new Set(findings.flatMap((f) => f.photoIds))];
  const loaded = await Promise.all(ids.map(async (id) => [id, await pictures.load(id)] as const));
  return Object.fromEntries(loaded.flatMap(([id, url]) => (url === undefined ? [] : [[id, url]])));
}

/** The paper of a job: PDF made here in the browser, and the order list as a table file. */
export function SheetsPanel() {
  const job = useJob();
  const units = useUnits();
  const drafts = useDrafts();
  const [pageSize, setPageSize] = useState<PageSize>('A4');
  const [told, setTold] = useState<string>();
  const name = (kind: SheetKind, end: string) =>
    `${job.number.replace(/[^\p{L}\p{N}-]+/gu, '') || 'job'} ${SHEET_NAME[kind].toLowerCase()}.${end}`;
  const [maker] = useState(() => new PaperMaker());
  const request = (kind: SheetKind): JobPdf => ({
    job,
    kind,
    pageSize,
    units,
    unfinished: Object.keys(drafts) as FieldPath[],
  });
  const lost = unprintable(paperOf(request('job')));
  const first = useRef(request('job'));
  useEffect(() => {
    // Loaded after the first paint: a warm worker answers in a third of the time.
    const timer = setTimeout(() => maker.warm(first.current), WARM_AFTER_MS);
    return () => {
      clearTimeout(timer);
      maker.end();
    };
  }, [maker]);
  const make = async (kind: SheetKind) => {
    setTold(`Making the ${SHEET_NAME[kind].toLowerCase()} …`);
    try {
      const photos = kind === 'order' ? {} : await photosOf(job);
      const bytes = await maker.pdf({ ...request(kind), photos });
      download(name(kind, 'pdf'), bytes, 'application/pdf');
      setTold(
        `${SHEET_NAME[kind]} made: ${name(kind, 'pdf')}, ${Math.round(bytes.length / 1000)} kB.`,
      );
    } catch (error) {
      setTold(reportFault('The sheet could not be made', error));
    }
  };
  const table = async () => {
    download(name('order', 'csv'), writeOrderCsv(job.number, orderList(job, units)), 'text/csv');
    setTold(`Order list saved: ${name('order', 'csv')}.`);
  };
  return (
    <View style={flow.stack}>
      <Heading level={2}>Sheets</Heading>
      {lost.length > 0 ? (
        <NoticeBar
          label="Unprintable characters"
          text={`The sheets can’t print ${lost.slice(0, NAMED).join(' ')}${lost.length > NAMED ? ` and ${lost.length - NAMED} more` : ''}. Each is printed as ${UNPRINTABLE}: write it in by hand, or use other characters.`}
        />
      ) : null}
      <Choice label="Page" value={pageSize} options={PAGES} onChange={setPageSize} />
      <View style={flow.wrap}>
        <Action main icon="download" onPress={() => void make('job')}>
          Job sheet (PDF)
        </Action>
        <Action icon="download" onPress={() => void make('rider')}>
          Customer sheet (PDF)
        </Action>
        <Action icon="download" onPress={() => void make('order')}>
          Order list (PDF)
        </Action>
        <Action icon="download" onPress={() => void table()}>
          Order list (CSV)
        </Action>
      </View>
      <View aria-live="polite">
        {told ? (
          <Words soft size={15}>
            {told}
          </Words>
        ) : null}
      </View>
    </View>
  );
}
