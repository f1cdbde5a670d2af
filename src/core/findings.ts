import type { Finding, FindingDecision, FindingPart } from './job/record/findings';
import type { Job } from './job/types';

/* Findings in free words: their names, ready words, and edits. */

export const PART_NAME: Readonly<Record<FindingPart, string>> = {
  plate: 'Plate',
  basket: 'Basket',
  hub: 'Hub',
  pressurePlate: 'Pressure plate',
  springs: 'Springs',
  bearing: 'Release bearing',
  worm: 'Worm or screw',
  seal: 'Seal',
  damper: 'Damper',
  shaft: 'Shaft',
  cover: 'Cover',
  lever: 'Lever and cable',
  other: 'Other part',
};

export const DECISION_WORD: Readonly<Record<FindingDecision, string>> = {
  keep: 'Keep',
  watch: 'Keep and watch',
  replace: 'Replace',
  ordered: 'Ordered',
  done: 'Done',
};

/** Findings that come up often, each with its part and the cause it may speak for. */
export const READY_FINDINGS: readonly Pick<Finding, 'part' | 'text' | 'cause'>[] = [
  { part: 'worm', text: 'Soft worm: its faces are worn, lift is lost', cause: 'shortLift' },
  { part: 'bearing', text: 'Flat race in the release bearing', cause: 'dryRelease' },
  { part: 'seal', text: 'Seal fitted the wrong way round' },
  { part: 'pressurePlate', text: 'Reground: thickness above the minimum' },
  { part: 'plate', text: 'Reground: thickness above the minimum' },
  { part: 'springs', text: 'Marks of over-travel: coils touched', cause: 'weakSprings' },
];

/**
 * A job with a finding added, or changed where it is there already.
 * @example withFinding(job, { id: 'f', part: 'seal', text: 'Wrong way round', decision: 'done', agreed: '', photoIds: [] }).findings.length // 1
 */
export function withFinding(job: Job, finding: Finding): Job {
  const all = job.findings ?? [];
  return {
    ...job,
    findings: all.some((f) => f.id === finding.id)
      ? all.map((f) => (f.id === finding.id ? finding : f))
      : [...all, finding],
  };
}

/**
 * A job without a finding.
 * @example withoutFinding(job, 'f') === job // true
 */
export const withoutFinding = (job: Job, id: string): Job =>
  job.findings?.some((f) => f.id === id)
    ? { ...job, findings: job.findings.filter((f) => f.id !== id) }
    : job;

/**
 * A finding in one sentence: "Seal: wrong way round. Done."
 * @example findingText({ id: 'f', part: 'seal', text: 'Wrong way round', decision: 'done', agreed: '', photoIds: [] }) // "Seal: Wrong way round. Done."
 */
export const findingText = (finding: Finding): string =>
  `${PART_NAME[finding.part]}: ${decisionText(finding)}`;

/**
 * A finding beside the name of its part: "Wrong way round. Done."
 * @example decisionText({ id: 'f', part: 'seal', text: 'Wrong way round', decision: 'done', agreed: '', photoIds: [] }) // "Wrong way round. Done."
 */
export const decisionText = ({ text, decision, agreed }: Finding): string =>
  `${text.trim().replace(/\.$/, '')}. ${DECISION_WORD[decision]}${agreed.trim() ? `; ${agreed.trim().replace(/\.$/, '')}` : ''}.`;
