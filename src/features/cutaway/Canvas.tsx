import { createElement } from 'react';

interface Props {
  readonly width: number;
  readonly height: number;
}

/** A canvas; its content is described in text beside it. */
export function Canvas({ width, height }: Props) {
  return createElement('canvas', {
    'aria-hidden': true,
    style: { width, height, display: 'block' },
  });
}
