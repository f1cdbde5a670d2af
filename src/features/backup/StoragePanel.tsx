import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { download } from '@/files/share';
import { recordName } from '@/features/storage/recordName';
import type { StorageRoom } from '@/storage/persistence';
import { requestPersistence, isPersistent, storageLeft } from '@/storage/persistence';
import type { DamagedRecord } from '@/storage/records';
import { damagedNow, deleteDamaged } from '@/storage/rescue';
import { Action } from '@/ui/Action';
import { momentText } from '@/ui/dates';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

/** Storage of the workshop in this browser, and its damaged records. */
export function StoragePanel() {
  return (
    <View style={flow.stack}>
      <Heading level={2}>In this browser</Heading>
      <StorageUse />
      <DamagedRecords />
    </View>
  );
}

function StorageUse() {
  const [room, setRoom] = useState<StorageRoom>();
  const [promised, setPromised] = useState<boolean>();
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    void storageLeft().then(setRoom);
    void isPersistent().then(setPromised);
  }, []);
  const ask = async () => {
    setPromised(await requestPersistence());
    setAsked(true);
  };
  return (
    <View style={flow.stack} role="status" aria-label="Storage">
      {room ? <Words>{usedSpaceText(room)}</Words> : null}
      {promised === undefined ? null : (
        <Words>
          {promised
            ? 'The browser will keep the workshop even when the device is short of space.'
            : 'The browser may delete the workshop when the device is short of space. Back up often.'}
        </Words>
      )}
      {promised === false && !asked ? (
        <View style={flow.inline}>
          <Action onPress={() => void ask()}>Ask the browser to keep the workshop</Action>
        </View>
      ) : null}
      {promised === false && asked ? (
        <Words soft>
          The browser declined. Most agree once the page is installed as an app or bookmarked.
        </Words>
      ) : null}
    </View>
  );
}

const size = (mb: number): string =>
  mb >= 1000 ? `${(mb / 1000).toFixed(1)} GB` : `${mb.toFixed(mb < 10 ? 1 : 0)} MB`;

const usedSpaceText = ({ usedMb, allMb }: StorageRoom): string =>
  `${size(usedMb)} used of the ${size(allMb)} that the browser allows.`;

const bytes = (count: number): string =>
  count < 1e6 ? `${Math.ceil(count / 1000)} kB` : size(count / 1e6);

/** The number of a job, out of a text that is perhaps no record any more. */
const numberIn = (text: string): string | undefined => /"number":"([^"\\]{1,40})"/.exec(text)?.[1];

/** Texts of damaged records: to save for repair, or to delete. */
function DamagedRecords() {
  const [found, setFound] = useState<readonly DamagedRecord[]>([]);
  const look = () => void damagedNow().then(setFound, () => undefined);
  useEffect(look, [look]);
  const [sure, setSure] = useState<DamagedRecord>();
  // It can't be undone, so it takes two presses.
  const away = async (aside: DamagedRecord) => {
    if (sure !== aside) return setSure(aside);
    await deleteDamaged(aside);
    look();
  };
  if (found.length === 0) return null;
  return (
    <View style={flow.stack}>
      <Heading level={3}>Damaged records</Heading>
      <Words>
        These records could not be read. Their text is kept as it was stored. Someone who knows JSON
        can often recover the content.
      </Words>
      <View role="list" aria-label="Damaged records" style={flow.stack}>
        {found.map((aside) => {
          const words = recordName(aside.key, numberIn(aside.text));
          return (
            <View role="listitem" key={aside.at + aside.key} style={flow.tight}>
              <Words>{`${words}, ${bytes(aside.text.length)}, found ${momentText(aside.at)}`}</Words>
              <View style={flow.wrap}>
                <Action
                  icon="download"
                  accessibilityLabel={`Save text: ${words}`}
                  onPress={() =>
                    download(
                      `set-aside-${aside.key.replaceAll(/[^\w-]+/g, '-')}.txt`,
                      aside.text,
                      'text/plain',
                    )
                  }
                >
                  Save text
                </Action>
                <Action
                  icon="delete-outline"
                  accessibilityLabel={`${sure === aside ? 'Confirm deletion' : 'Delete'}: ${words}`}
                  onPress={() => void away(aside)}
                >
                  {sure === aside ? 'Confirm deletion' : 'Delete'}
                </Action>
              </View>
            </View>
          );
        })}
      </View>
    </View>
  );
}
