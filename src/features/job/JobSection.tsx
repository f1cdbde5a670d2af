import { useDeferredValue } from 'react';
import { View } from 'react-native';

import type { Problem } from '@/core/evaluate/engine/problem';
import type { Job } from '@/core/job/types';
import { inspectionOf } from '@/features/inspect/useInspection';
import { useGoToField } from '@/features/entry/askedFor';
import { useHistory } from '@/state/jobs/useHistory';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import type { SectionProps } from '@/features/section/Section';
import { Section } from '@/features/section/Section';
import { SectionEditor } from '@/features/section/SectionEditor';
import type { LayerEdits } from '@/features/section/useLayerEdits';
import type { Selection } from '@/features/section/useSelection';
import { Tool } from '@/ui/Tool';
import { flow } from '@/ui/flow';

type Marks = readonly Pick<Problem, 'plateId' | 'path'>[];

/** Plates that must go by their inspection: marked on their layers, on every stage. */
const goingOf = (job: Job): Marks =>
  inspectionOf(job).parts.flatMap((p) =>
    p.plate && (p.decision === 'change' || p.decision === 'scrap')
      ? [{ path: 'pack.plates', plateId: p.id }]
      : [],
  );

type ViewProps = Pick<
  SectionProps,
  'width' | 'height' | 'labelled' | 'selected' | 'onSelect' | 'onDrop'
>;

/** The section of the job on screen, to look at and to tap; a digit that is typed shows before it follows. */
export function SectionView(props: ViewProps) {
  const job = useDeferredValue(useJob());
  const onAsk = useGoToField();
  if (props.height < 80) return null;
  return (
    <Section
      job={job}
      evaluation={evaluationOf(job)}
      problems={[...evaluationOf(job).problems, ...goingOf(job)]}
      onAsk={onAsk}
      {...props}
    />
  );
}

interface EditorProps {
  readonly width: number;
  readonly height: number;
  readonly selection: Selection;
  readonly edits: LayerEdits;
  readonly scrolls?: boolean;
}

/** The section of the job on screen as its editor. */
export function EditorView(props: EditorProps) {
  // Edited content updates at once.
  const job = useJob();
  return (
    <SectionEditor
      job={job}
      problems={[...evaluationOf(job).problems, ...goingOf(job)]}
      {...props}
    />
  );
}

/** Undo and redo where there is little room. */
export function UndoTools() {
  const { undo, redo } = useHistory();
  return (
    <View style={flow.inline}>
      <Tool
        icon="undo"
        word="Undo"
        label="Undo"
        width={44}
        blocked={undo ? undefined : 'nothing to undo'}
        onPress={undo ?? none}
      />
      <Tool
        icon="redo"
        word="Redo"
        label="Redo"
        width={44}
        blocked={redo ? undefined : 'nothing to redo'}
        onPress={redo ?? none}
      />
    </View>
  );
}

const none = () => undefined;
