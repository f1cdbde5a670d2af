import { nanoid } from '@reduxjs/toolkit';
import { useEffect, useState } from 'react';
import { Image, Pressable, StyleSheet, View } from 'react-native';

import { MAX_PHOTOS } from '@/core/job/fields';
import type { Photo } from '@/core/job/types';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { shrinkPicture } from '@/files/picture';
import { FileRefused } from '@/files/refused';
import { pickFile } from '@/files/share';
import { reportFault } from '@/storage/faults';
import { pictures } from '@/storage/pictures';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const SHOWN_WIDTH = 270;

/** Photographs of the job, made small in the browser and kept with it. */
export function PhotoPanel() {
  const { photos } = useJob();
  const change = useEditJob();
  const strata = useStrata();
  const [told, setTold] = useState<{ text: string; bad: boolean }>();
  const [open, setOpen] = useState<string>();
  const [removed, setRemoved] = useState<Photo>();
  const used = useSpace(photos.length);
  const add = async (camera: boolean) => {
    const file = await pickFile('image/*', camera ? 'environment' : undefined);
    if (!file) return;
    setTold({ text: 'Reducing the picture …', bad: false });
    try {
      const { dataUrl, width, height, bytes } = await shrinkPicture(file);
      const id = nanoid(12);
      await pictures.save(id, dataUrl);
      const photo: Photo = {
        id,
        caption: '',
        takenAt: new Date().toISOString(),
        width,
        height,
        bytes,
      };
      change((j) => ({ ...j, photos: [...j.photos, photo] }));
      setTold(undefined);
      setOpen(id);
    } catch (error) {
      const text =
        error instanceof FileRefused
          ? `${file.name}: ${error.message}`
          : reportFault(`${file.name} was not added`, error);
      setTold({ text, bad: true });
    }
  };
  const total = photos.reduce((sum, p) => sum + p.bytes, 0);
  const shown = photos.find((p) => p.id === open);
  const full = photos.length >= MAX_PHOTOS ? `At most ${MAX_PHOTOS} photographs.` : undefined;
  return (
    <View style={flow.stack}>
      <Heading level={2}>Photographs</Heading>
      <View style={flow.wrap}>
        <Action icon="camera-outline" blocked={full} onPress={() => void add(true)}>
          Camera
        </Action>
        <Action icon="import" blocked={full} onPress={() => void add(false)}>
          Choose file
        </Action>
      </View>
      <View aria-live="polite">
        {told ? (
          <Words style={{ color: told.bad ? strata.stop : strata.ink }}>{told.text}</Words>
        ) : null}
      </View>
      {removed ? (
        <View role="status" style={flow.line}>
          <Words style={flow.shrink}>Photograph removed.</Words>
          <Action
            icon="undo"
            onPress={() => {
              change((j) => ({ ...j, photos: [...j.photos, removed] }));
              setRemoved(undefined);
            }}
          >
            Undo
          </Action>
        </View>
      ) : null}
      {photos.length > 0 ? (
        <View role="list" aria-label="Photographs" style={flow.wrap}>
          {photos.map((photo, i) => (
            <View key={photo.id} role="listitem">
              <Pressable
                role="button"
                aria-label={`Photograph ${i + 1}${photo.caption ? `, ${photo.caption}` : ''}`}
                aria-expanded={open === photo.id}
                onPress={() => setOpen(open === photo.id ? undefined : photo.id)}
                style={[
                  styles.box,
                  { borderColor: open === photo.id ? strata.slate : strata.line },
                ]}
              >
                <Picture photo={photo} width={88} height={66} />
              </Pressable>
            </View>
          ))}
        </View>
      ) : null}
      {shown ? (
        <View style={flow.stack}>
          <Picture
            photo={shown}
            width={SHOWN_WIDTH}
            height={Math.round((SHOWN_WIDTH * shown.height) / shown.width)}
          />
          <Field
            label="Caption"
            value={shown.caption}
            maxLength={400}
            onChangeText={(caption) =>
              change((j) => ({
                ...j,
                photos: j.photos.map((p) => (p.id === shown.id ? { ...p, caption } : p)),
              }))
            }
          />
          <Action
            icon="delete-outline"
            onPress={() => {
              change((j) => ({ ...j, photos: j.photos.filter((p) => p.id !== shown.id) }));
              setRemoved(shown);
            }}
          >
            Remove photograph
          </Action>
        </View>
      ) : null}
      <Words soft size={14}>
        {photos.length === 0
          ? 'Stored on this device, reduced in size.'
          : `${countOf(photos.length, 'photograph')} here, ${megabytes(total)}.`}
        {used ? ` The workshop uses ${megabytes(used.usage)} of ${megabytes(used.quota)}.` : ''}
      </Words>
    </View>
  );
}

function Picture({
  photo,
  width,
  height,
}: {
  readonly photo: Photo;
  readonly width: number;
  readonly height: number;
}) {
  const strata = useStrata();
  const [uri, setUri] = useState<string | null>();
  useEffect(() => {
    let current = true;
    void pictures.load(photo.id).then((found) => {
      if (current) setUri(found ?? null);
    });
    return () => {
      current = false;
    };
  }, [photo.id]);
  return (
    <View style={[styles.place, { width, height, backgroundColor: strata.line }]}>
      {uri ? (
        <Image
          source={{ uri }}
          role="img"
          aria-label={photo.caption || 'Photograph of the job'}
          style={{ width, height }}
          resizeMode="cover"
        />
      ) : uri === null ? (
        <Words size={13} style={styles.text}>
          not on this device
        </Words>
      ) : null}
    </View>
  );
}

/** Storage used by the workshop in this browser, and its quota. */
function useSpace(changes: number) {
  const [space, setSpace] = useState<{ usage: number; quota: number }>();
  useEffect(() => {
    void navigator.storage?.estimate?.().then(({ usage, quota }) => {
      if (usage !== undefined && quota !== undefined) setSpace({ usage, quota });
    });
  }, [changes]);
  return space;
}

function megabytes(bytes: number): string {
  const mb = bytes / 1e6;
  return mb >= 1000 ? `${(mb / 1000).toFixed(1)} GB` : `${mb.toFixed(mb < 10 ? 1 : 0)} MB`;
}

const styles = StyleSheet.create({
  box: { borderWidth: 2 },
  place: { justifyContent: 'center' },
  text: { textAlign: 'center' },
});
