/** Our own colours beside Paper's roles; the one source for screen and paper. */
export interface Strata {
  readonly ground: string;
  readonly raised: string;
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly slate: string;
  readonly onSlate: string;
  readonly ochre: string;
  readonly ochreDeep: string;
  readonly groove: string;
  readonly steel: string;
  readonly floor: string;
  readonly good: string;
  readonly watch: string;
  readonly stop: string;
}

/** Light. */
export const LIMESTONE: Strata = {
  ground: '#F4F1EA',
  raised: '#FFFDF8',
  ink: '#211E1A',
  soft: '#5B554C',
  line: '#CFC7B8',
  slate: '#2F4858',
  onSlate: '#FFFDF8',
  ochre: '#B7791F',
  ochreDeep: '#7A5628',
  groove: '#E0A94F',
  steel: '#8A949B',
  floor: '#50626E',
  good: '#3F6B3A',
  watch: '#8A6400',
  stop: '#A3271F',
};

/** Dark, for poor light. */
export const PEAT: Strata = {
  ground: '#191714',
  raised: '#24211D',
  ink: '#EFEAE0',
  soft: '#B5AC9D',
  line: '#4A443B',
  slate: '#9DBBCB',
  onSlate: '#191714',
  ochre: '#D9A441',
  ochreDeep: '#6B4B20',
  groove: '#F0C878',
  steel: '#7C868D',
  floor: '#8AA3B1',
  good: '#8FBF7F',
  watch: '#E5B93C',
  stop: '#F08A7E',
};

/** On paper, black on white: every material has a grey of its own. */
export const INK: Strata = {
  ground: '#FFFFFF',
  raised: '#FFFFFF',
  ink: '#000000',
  soft: '#4A4A4A',
  line: '#DADADA',
  slate: '#5A5A5A',
  onSlate: '#FFFFFF',
  ochre: '#A8A8A8',
  ochreDeep: '#757575',
  groove: '#FFFFFF',
  steel: '#D6D6D6',
  floor: '#606060',
  good: '#000000',
  watch: '#000000',
  stop: '#000000',
};
