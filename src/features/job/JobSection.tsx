import { memo, useMemo } from 'react';
import { View } from 'react-native';

import type { Problem } from '@/core/evaluate/problems';
import type { Job } from '@/core/job/types';
import { inspectionOf } from '@/features/inspect/useInspection';
import { useHistory } from '@/features/jobs/useHistory';
import { evaluationOf, useJob, useJobLater } from '@/features/jobs/useJob';
import type { SectionProps } from '@/features/section/Section';
import { Section } from '@/features/section/Section';
import { SectionEditor } from '@/features/section/SectionEditor';
import type { LayerEdits } from '@/features/section/useLayerEdits';
import type { Selection } from '@/features/section/useSelection';
import { Tool } from '@/ui/Tool';

/** What is wrong with the pack, and what must go: marked on its layer, whichever stage is on screen. */
function marksOf(job: Job): readonly Pick<Problem, 'plateId' | 'path'>[] {
  return [
    ...evaluationOf(job).problems,
    ...inspectionOf(job).parts.flatMap((p) =>
      p.plate && (p.decision === 'change' || p.decision === 'scrap')
        ? [{ path: 'pack.plates', plateId: p.id }]
        : [],
    ),
  ];
}

interface ViewProps extends Pick<
  SectionProps,
  'width' | 'height' | 'labelled' | 'selected' | 'onSelect' | 'onDrop'
> {
  /** Follows the job a frame later: while readings are taken, the run comes first. */
  readonly later: boolean;
}

/** The section of the job on screen, to look at and to tap. */
export function SectionView({ later, ...props }: ViewProps) {
  const job = useJobLater(later);
  return props.height < 80 ? null : <JobSection job={job} {...props} />;
}

const JobSection = memo(function JobSection({
  job,
  ...props
}: Omit<ViewProps, 'later'> & { readonly job: Job }) {
  const problems = useMemo(() => marksOf(job), [job]);
  const state = useMemo(() => ({ expanding: job.expanding.fitted }), [job.expanding.fitted]);
  return <Section layout={evaluationOf(job).layout} problems={problems} state={state} {...props} />;
});

interface EditorProps {
  readonly width: number;
  readonly height: number;
  readonly selection: Selection;
  readonly edits: LayerEdits;
  readonly scrolls?: boolean;
}

/** The section of the job on screen as its editor. */
export function EditorView(props: EditorProps) {
  const job = useJob();
  const problems = useMemo(() => marksOf(job), [job]);
  return <SectionEditor problems={problems} {...props} />;
}

/** Undo and redo where there is little room. */
export function UndoTools() {
  const { undo, redo } = useHistory();
  return (
    <View style={{ flexDirection: 'row' }}>
      <Tool
        icon="undo"
        word="Undo"
        label="Undo"
        width={44}
        disabled={!undo}
        onPress={undo ?? none}
      />
      <Tool
        icon="redo"
        word="Redo"
        label="Redo"
        width={44}
        disabled={!redo}
        onPress={redo ?? none}
      />
    </View>
  );
}

const none = () => undefined;
