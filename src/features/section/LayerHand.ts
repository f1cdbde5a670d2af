import type { GestureResponderEvent, PanResponderInstance } from 'react-native';
import { PanResponder } from 'react-native';

import type { SectionShape } from '@/drawing/sectionShape';
import { gapAt } from '@/drawing/sectionShape';

/** So far a finger may slip, px, and it is still a tap. */
const SLIP = 8;

interface Work {
  readonly shape: SectionShape;
  readonly onDrop?: (plateId: string, gap: number) => void;
  readonly onPinch?: (factor: number, ended: boolean) => void;
  /** The drawing on the page. */
  readonly frame: unknown;
}

/** The hand on the section: drags a layer to another place, or spreads two fingers. */
export class LayerHand {
  readonly handlers: PanResponderInstance['panHandlers'];
  private work: Work | undefined;
  private held: string | undefined;
  private spread: number | undefined;
  private factor = 1;
  private cameDown = 0;

  /** @param onGap told the gap over which a dragged layer is held, or nothing once it is let go */
  constructor(private readonly onGap: (gap: number | undefined) => void) {
    this.handlers = PanResponder.create({
      onStartShouldSetPanResponderCapture: ({ nativeEvent }) => {
        // Where the hand came down; the responder is only granted further on.
        this.cameDown = nativeEvent.pageY;
        return false;
      },
      onMoveShouldSetPanResponderCapture: (event, { dx, dy }) =>
        fingersApart(event) === undefined
          ? this.work?.onDrop !== undefined && Math.abs(dy) > SLIP && Math.abs(dy) > Math.abs(dx)
          : this.work?.onPinch !== undefined,
      onPanResponderGrant: (event) => {
        this.spread = fingersApart(event);
        this.held = this.spread === undefined ? this.layerAt(this.cameDown) : undefined;
      },
      onPanResponderMove: (event, { moveY }) => {
        const apart = fingersApart(event);
        if (apart !== undefined) {
          this.spread ??= apart;
          this.factor = apart / this.spread;
          this.work?.onPinch?.(this.factor, false);
        } else if (this.held !== undefined) this.onGap(this.gapUnder(moveY));
      },
      onPanResponderRelease: (_event, { moveY }) => {
        const gap = this.gapUnder(moveY);
        if (this.held !== undefined && gap !== undefined) this.work?.onDrop?.(this.held, gap);
        this.end();
      },
      onPanResponderTerminate: () => this.end(),
    }).panHandlers;
  }

  update(work: Work): void {
    this.work = work;
  }

  private end(): void {
    if (this.spread !== undefined) this.work?.onPinch?.(this.factor, true);
    this.held = undefined;
    this.spread = undefined;
    this.factor = 1;
    this.onGap(undefined);
  }

  private inDrawing(pageY: number): number {
    const frame = this.work?.frame;
    return frame instanceof HTMLElement
      ? pageY - frame.getBoundingClientRect().top - window.scrollY
      : pageY;
  }

  private layerAt(pageY: number): string | undefined {
    const y = this.inDrawing(pageY);
    return this.work?.shape.layers.find((s) => y >= s.row.y && y <= s.row.y + s.row.height)?.layer
      .plate.id;
  }

  private gapUnder(pageY: number): number | undefined {
    return this.work && gapAt(this.work.shape, this.inDrawing(pageY));
  }
}

function fingersApart({ nativeEvent: { touches } }: GestureResponderEvent): number | undefined {
  const [a, b] = touches ?? [];
  return a && b ? Math.max(1, Math.hypot(a.pageX - b.pageX, a.pageY - b.pageY)) : undefined;
}
