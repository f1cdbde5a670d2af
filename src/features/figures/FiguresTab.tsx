import { View } from 'react-native';

import { readSentence } from '@/core/evaluate/sentence';
import { AdvicePanel } from '@/features/advice/AdvicePanel';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/features/jobs/evaluations';
import { STATE_WORD, StateMark } from '@/ui/StateMark';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { FigureRow } from './FigureRow';

/** Every verdict and every figure of the job. */
export function FiguresTab() {
  const units = useUnits();
  const strata = useStrata();
  const { figures, verdicts } = useEvaluation();
  return (
    <View style={{ gap: 16 }}>
      <View>
        <Heading level={2}>Verdicts</Heading>
        {verdicts.map((v) => (
          <View
            key={v.id}
            style={{
              flexDirection: 'row',
              gap: 10,
              paddingVertical: 8,
              borderTopWidth: 1,
              borderColor: strata.line,
            }}
          >
            <View style={{ paddingTop: 2 }}>
              <StateMark state={v.state} />
            </View>
            <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0, gap: 4 }}>
              <Words bold size={15}>
                {v.state === 'unknown'
                  ? v.title
                  : `${STATE_WORD[v.state]}: ${v.title.charAt(0).toLowerCase()}${v.title.slice(1)}`}
              </Words>
              <Words soft size={14}>
                {readSentence(v.sentence, units)}
              </Words>
              {v.id !== 'overall' && (v.state === 'stop' || v.state === 'watch') ? (
                <AdvicePanel verdict={v.id} title={v.title} />
              ) : null}
            </View>
          </View>
        ))}
      </View>
      <View>
        <Heading level={2}>Figures</Heading>
        {[...figures.values()].map((outcome) => (
          <FigureRow key={outcome.id} outcome={outcome} />
        ))}
      </View>
      <Words soft size={14}>
        The maker’s manual, local rules and a licensed mechanic stand above these figures. First
        ride slow, off the road, brakes tested.
      </Words>
    </View>
  );
}
