import { createElement } from 'react';

interface Props {
  readonly width: number;
  readonly height: number;
}

/** A place to paint on; what is seen there is said in words beside it. */
export function Canvas({ width, height }: Props) {
  return createElement('canvas', {
    'aria-hidden': true,
    style: { width, height, display: 'block' },
  });
}
