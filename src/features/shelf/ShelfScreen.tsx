import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { Job } from '@/core/job/types';
import { isFrozen } from '@/core/job/signOff';
import type { ScrapPlate, StockPlate } from '@/core/shelf/stock';
import { reserved } from '@/core/shelf/stock';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { WhenRead } from '@/features/jobs/WhenRead';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { dayText } from '@/ui/dates';
import { IconKey } from '@/ui/IconKey';
import { Beside } from '@/features/page/Beside';
import { Page } from '@/features/page/Page';
import { SortMenu } from '@/features/page/SortMenu';
import { Panel } from '@/ui/Panel';
import { SearchField } from '@/ui/SearchField';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';

import { AddPlate } from './AddPlate';
import { GaugeSets } from './GaugeSets';
import { PlateRow } from './PlateRow';
import { shelfActions } from '@/state/shelfSlice';
import { AddSprings, SpringRow } from './SpringRow';
import { StockNeeds } from './StockNeeds';
import { flow } from '@/ui/flow';
import { byName } from '@/core/order';
import { countOf } from '@/core/text/countOf';

/** The shelf, its reservations, and the orders. */
export function ShelfScreen() {
  return (
    <Page title="Shelf" broad>
      <WhenRead>
        <Stocked />
      </WhenRead>
    </Page>
  );
}

const PARTS = [
  { part: 'steel', name: 'Steels' },
  { part: 'disc', name: 'Discs' },
] as const;

const PLATE_SORTS = [
  ['thickness', 'Thickness'],
  ['label', 'Label'],
  ['count', 'Number of pieces'],
  ['outOfFlat', 'Out-of-flat'],
] as const;
type PlateSort = (typeof PLATE_SORTS)[number][0];

type Order = (a: StockPlate, b: StockPlate) => number;
const byLabel: Order = (a, b) => byName(a.label, b.label);
const COMPARE: Readonly<Record<PlateSort, Order>> = {
  thickness: (a, b) => b.thickness - a.thickness || byLabel(a, b),
  label: byLabel,
  count: (a, b) => b.count - a.count || byLabel(a, b),
  outOfFlat: (a, b) => (a.outOfFlat ?? 0) - (b.outOfFlat ?? 0) || byLabel(a, b),
};

function Stocked() {
  const { plates, springs, scrap, scrapSprings } = useAppSelector((state) => state.shelf);
  const jobs = useAppSelector(jobSelectors.selectAll);
  const taken = reserved(jobs);
  const holders = holdersOf(jobs);
  const units = useUnits();
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<PlateSort>('thickness');
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  const isFound = ({ label, nominal, thickness, from }: (typeof plates)[number]) => {
    const text = [
      label,
      ...[nominal, thickness].map((mm) => formatWithUnit(mm, 'length', units)),
      from,
    ]
      .join(' ')
      .toLocaleLowerCase();
    return words.every((w) => text.includes(w));
  };
  const row = (plate: (typeof plates)[number]) => (
    <PlateRow
      key={plate.id}
      plate={plate}
      taken={taken.get(plate.id) ?? 0}
      holders={(holders.get(plate.id) ?? []).join(', ')}
    />
  );
  return (
    <Beside
      first
      label="Orders and additions"
      beside={
        <>
          <StockNeeds jobs={jobs} />
          <Heading level={2}>Add to shelf</Heading>
          <AddPlate />
          <AddSprings />
        </>
      }
    >
      {plates.length > MANY ? (
        <View style={flow.line}>
          <View style={flow.share}>
            <SearchField label="Search plates" value={search} onChangeText={setSearch} />
          </View>
          <SortMenu value={sort} names={PLATE_SORTS} onChange={setSort} />
        </View>
      ) : null}
      {PARTS.map(({ part, name }) => {
        const of = plates
          .filter((p) => p.sort === part && p.count > 0 && isFound(p))
          .sort(COMPARE[sort]);
        return (
          <View key={part} style={flow.tight}>
            <Heading level={2}>{name}</Heading>
            {of.length === 0 ? (
              <Words soft>
                {search.trim() === ''
                  ? `No ${part}s on the shelf yet.`
                  : `No ${part} matches “${search.trim()}”.`}
              </Words>
            ) : null}
            <View role="list" aria-label={name}>
              {of.map(row)}
            </View>
          </View>
        );
      })}
      <>
        <Heading level={2}>Coil springs</Heading>
        {springs.length === 0 ? <Words soft>No springs on the shelf yet.</Words> : null}
        <View role="list" aria-label="Coil springs">
          {springs
            .filter((s) => s.count > 0)
            .map((s) => (
              <SpringRow key={s.id} spring={s} taken={taken.get(s.id) ?? 0} />
            ))}
        </View>
        <Heading level={2}>Gauges</Heading>
        <GaugeSets />
        {scrap.length + scrapSprings.length > 0 ? (
          <Panel level={2} title="Scrap" summary={scrapText(scrap.length + scrapSprings.length)}>
            <View role="list" aria-label="Scrap">
              {scrap.map((plate) => (
                <ScrapRow
                  key={plate.id}
                  label={plate.label}
                  mm={plate.thickness}
                  words={`${formatWithUnit(plate.nominal, 'length', units, 2)}, ${plate.why}`}
                  item={plate}
                  onForget={() => dispatch(shelfActions.scrapForgotten(plate.id))}
                />
              ))}
              {scrapSprings.map((s) => (
                <ScrapRow
                  key={s.id}
                  label={`${s.count} ×`}
                  mm={s.freeLength}
                  words={`${s.name || 'Springs'}, ${s.why}`}
                  item={s}
                  onForget={() => dispatch(shelfActions.scrapSpringsForgotten(s.id))}
                />
              ))}
            </View>
          </Panel>
        ) : null}
      </>
    </Beside>
  );
}

/** A list longer than this gets a search. */
const MANY = 10;

const scrapText = (n: number): string =>
  `${countOf(n, 'entry', 'entries')}, with readings and reason`;

/** In which jobs the items lie: reserved while a job is under way, used once it is signed. */
function holdersOf(jobs: readonly Job[]): ReadonlyMap<string, readonly string[]> {
  const holders = new Map<string, string[]>();
  for (const job of jobs) {
    const how = isFrozen(job) ? 'used in' : 'reserved for';
    for (const [id, n] of reserved([job]))
      holders.set(id, [...(holders.get(id) ?? []), `${n} ${how} ${job.number}`]);
  }
  return holders;
}

interface ScrapProps {
  readonly label: string;
  /** Measured thickness. */
  readonly mm: number | undefined;
  readonly words: string;
  readonly item: Pick<ScrapPlate, 'scrapped' | 'from'>;
  readonly onForget: () => void;
}

function ScrapRow({ label, mm, words, item: { scrapped, from }, onForget }: ScrapProps) {
  const units = useUnits();
  const ruled = useRuled();
  return (
    <View role="listitem" style={[ruled, styles.item]}>
      <Words bold size={15} style={styles.text}>
        {label}
      </Words>
      <View style={flow.share}>
        <Words size={15}>{words}</Words>
        <Words soft size={14}>
          {[`on ${dayText(scrapped)}`, from ? `from ${from}` : undefined]
            .filter(Boolean)
            .join(', ')}
        </Words>
      </View>
      <Digits size={15}>{mm === undefined ? '' : formatWithUnit(mm, 'length', units)}</Digits>
      <IconKey icon="delete-outline" label={`Delete ${label} from scrap`} onPress={onForget} />
    </View>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, minHeight: 52 },
  text: { width: 48 },
});
