import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import type { Job } from '@/core/job/types';
import type { Paper, PaperBlock, PaperStep } from '@/core/paper/paper';
import type { State } from '@/core/evaluate/engine/figure';
import { BoltDrawing } from '@/features/build/BoltCircle';
import { evaluationOf } from '@/state/jobs/evaluations';
import { Section } from '@/features/section/Section';
import { StateMark } from '@/ui/StateMark';
import { SPACE, useStrata } from '@/ui/theme';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly paper: Paper;
  /** Whose pack is drawn. */
  readonly job: Job;
}

/** Label and value side by side where there is room for both. */
const FACT = { flexGrow: 1, flexShrink: 1, flexBasis: 110 } as const;
const NOTHING: readonly string[] = [];
const nothing = () => undefined;

/** A sheet on screen: the same words and figures as on paper. */
export function SheetView({ paper, job }: Props) {
  const [width, setWidth] = useState(0);
  return (
    <View
      role="article"
      aria-label={`${paper.title}: ${paper.subtitle}`}
      style={flow.stack}
      onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
    >
      <Heading level={2}>{paper.title}</Heading>
      <Words soft>{paper.subtitle}</Words>
      {paper.blocks.map((block, i) => (
        <Block key={i} block={block} job={job} width={width} />
      ))}
      <Digits soft size={13}>
        {paper.foot}
      </Digits>
    </View>
  );
}

const STEP_STATE: Readonly<Record<PaperStep['mark'], State | 'unknown'>> = {
  done: 'good',
  open: 'unknown',
  skipped: 'watch',
  failed: 'stop',
  changed: 'watch',
};

interface BlockProps {
  readonly block: PaperBlock;
  readonly job: Job;
  readonly width: number;
}

function Block({ block, job, width }: BlockProps) {
  const strata = useStrata();
  const ruled = { borderTopWidth: 1, borderColor: strata.line, paddingVertical: 6 } as const;
  switch (block.kind) {
    case 'heading':
      return (
        <Heading level={3} style={styles.text}>
          {block.text}
        </Heading>
      );
    case 'text':
      return <Words bold={block.strong}>{block.text}</Words>;
    case 'list':
      return (
        <View role="list" style={flow.tight}>
          {block.items.map((item, i) => (
            <View key={i} role="listitem" style={flow.row}>
              <Words soft aria-hidden>
                –
              </Words>
              <Words size={15} style={flow.shrink}>
                {item}
              </Words>
            </View>
          ))}
        </View>
      );
    case 'facts':
      return (
        <View role="list">
          {block.rows.map(([label, value]) => (
            <View
              key={label}
              role="listitem"
              style={{ ...ruled, flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}
            >
              <Words soft size={15} style={FACT}>
                {label}
              </Words>
              <Words size={15} style={FACT}>
                {value}
              </Words>
            </View>
          ))}
        </View>
      );
    case 'table':
      return (
        <ScrollView
          horizontal
          tabIndex={0}
          role="group"
          aria-label={block.columns.map((c) => c.title).join(', ')}
        >
          <View role="table">
            <View role="row" style={flow.inline}>
              {block.columns.map((c, i) => (
                <View key={i} role="columnheader" style={cellStyle(i, block)}>
                  <Words soft size={14}>
                    {c.title}
                  </Words>
                </View>
              ))}
            </View>
            {block.rows.map((row, r) => (
              <View key={r} role="row" style={{ ...ruled, flexDirection: 'row' }}>
                {row.map((text, i) => (
                  <View key={i} role="cell" style={cellStyle(i, block)}>
                    {block.columns[i]?.digits ? (
                      <Digits size={15}>{text}</Digits>
                    ) : (
                      <Words size={15}>{text}</Words>
                    )}
                  </View>
                ))}
              </View>
            ))}
          </View>
        </ScrollView>
      );
    case 'verdicts':
      return (
        <View role="list">
          {block.rows.map((v) => (
            <View key={v.title} role="listitem" style={{ ...ruled, flexDirection: 'row', gap: 8 }}>
              <StateMark state={v.state} label />
              <Words size={15} style={flow.shrink}>
                {`${v.title}. ${v.text}`}
              </Words>
            </View>
          ))}
        </View>
      );
    case 'steps':
      return (
        <View role="list">
          {block.rows.map((s, i) => (
            <View key={i} role="listitem" style={{ ...ruled, flexDirection: 'row', gap: 8 }}>
              <StateMark state={STEP_STATE[s.mark]} label />
              <View style={flow.shrink}>
                <Words size={15}>{s.text}</Words>
                {s.note ? (
                  <Words soft size={14}>
                    {s.note}
                  </Words>
                ) : null}
              </View>
            </View>
          ))}
        </View>
      );
    case 'columns':
      return (
        <>
          {block.columns.flat().map((inner, i) => (
            <Block key={i} block={inner} job={job} width={width} />
          ))}
        </>
      );
    case 'pictures':
      return (
        <Words
          soft
          size={14}
        >{`Photographs: ${block.pictures.map((p) => p.caption).join(', ')}`}</Words>
      );
    case 'circle':
      return (
        <View>
          <Words size={15}>{block.name}</Words>
          <BoltDrawing bolts={block.bolts} />
        </View>
      );
    case 'section':
      return width < 80 ? null : (
        <Section
          job={job}
          evaluation={evaluationOf(job)}
          problems={evaluationOf(job).problems}
          width={Math.min(width, 520)}
          height={300}
          labelled
          selected={NOTHING}
          onSelect={nothing}
        />
      );
    case 'sign':
      return (
        <View style={styles.row}>
          {block.lines.map((line) => (
            <View key={line} style={[styles.padded, { borderColor: strata.ink }]}>
              <Words soft size={14}>
                {line}
              </Words>
            </View>
          ))}
        </View>
      );
  }
}

/** Column widths from their longest text, within limits. */
function cellStyle(column: number, { columns, rows }: Extract<PaperBlock, { kind: 'table' }>) {
  const longest = Math.max(
    columns[column]?.title.length ?? 0,
    ...rows.map((row) => row[column]?.length ?? 0),
  );
  return {
    width: Math.min(260, 24 + 9 * longest),
    paddingRight: 12,
    ...(columns[column]?.digits ? { alignItems: 'flex-end' as const } : {}),
  };
}

const styles = StyleSheet.create({
  text: { marginTop: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.wide, marginTop: 40 },
  padded: { borderTopWidth: 1, minWidth: 220, paddingTop: SPACE.tight },
});
