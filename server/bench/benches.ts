import type { Response } from 'express';

import type { SimulatedReading } from './instruments';
import { Instruments } from './instruments';

const BENCHES = 2;
/** Maximum listeners per bench; further ones are asked to retry. */
const MAX_LISTENERS = 250;
const HEARTBEAT_MS = 10_000;
const RETRY_MS = 1500;
/** A listener this far behind is disconnected: its link is dead. */
const MAX_BEHIND_BYTES = 65_536;
/** How often the dyno sends while a pull lasts. */
const DYNO_MS = 100;

/** One bench: its instruments, who listens to them, and until when its link is lost. */
export class InstrumentBench {
  readonly instruments: Instruments;
  private readonly listening = new Set<Response>();
  private lostUntil = 0;
  private pulling: NodeJS.Timeout | undefined;

  constructor(readonly number: number) {
    this.instruments = new Instruments(number);
  }

  get lost(): boolean {
    return Date.now() < this.lostUntil;
  }

  get full(): boolean {
    return this.listening.size >= MAX_LISTENERS;
  }

  get listeners(): number {
    return this.listening.size;
  }

  listen(response: Response): void {
    this.listening.add(response);
    const gone = () => this.listening.delete(response);
    response.on('close', gone).on('error', gone);
    this.tell(
      response,
      `retry: ${RETRY_MS}\nevent: hello\ndata: ${JSON.stringify({ bench: this.number, unit: this.instruments.unit })}\n\n`,
    );
  }

  send(reading: SimulatedReading): number {
    this.tellAll(`event: reading\ndata: ${JSON.stringify(reading)}\n\n`);
    return this.listening.size;
  }

  get busy(): boolean {
    return this.pulling !== undefined;
  }

  /** A dyno pull; samples are sent while it runs. */
  pull(): void {
    const { seconds } = this.instruments.settings.engine;
    const parts = this.instruments.pullEngine(Math.max(1, Math.round((seconds * 1000) / DYNO_MS)));
    this.pulling = setInterval(() => {
      const part = parts.shift();
      if (part) this.send(part);
      if (parts.length === 0) this.endPull();
    }, DYNO_MS);
    this.pulling.unref();
  }

  private endPull(): void {
    clearInterval(this.pulling);
    this.pulling = undefined;
  }

  beat(): void {
    this.tellAll(': beat\n\n');
  }

  /** Drops the link for everyone, for a while. */
  lose(seconds: number): void {
    this.lostUntil = Date.now() + seconds * 1000;
    this.hangUp();
  }

  close(): void {
    this.endPull();
    this.hangUp();
  }

  private hangUp(): void {
    for (const listener of this.listening) listener.end();
  }

  private tellAll(text: string): void {
    for (const listener of this.listening) this.tell(listener, text);
  }

  private tell(listener: Response, text: string): void {
    if (listener.writableLength + text.length > MAX_BEHIND_BYTES) {
      this.listening.delete(listener);
      listener.destroy();
    } else listener.write(text);
  }
}

/** All benches of the shop, and the beat that keeps their streams alive. */
export class Benches {
  private readonly all = Array.from({ length: BENCHES }, (_, i) => new InstrumentBench(i + 1));
  private readonly beat = setInterval(() => this.all.forEach((b) => b.beat()), HEARTBEAT_MS);

  constructor() {
    this.beat.unref();
  }

  get count(): number {
    return this.all.length;
  }

  get listeners(): number {
    return this.all.reduce((sum, bench) => sum + bench.listeners, 0);
  }

  get(number: string | undefined): InstrumentBench | undefined {
    return this.all.find((bench) => String(bench.number) === number);
  }

  close(): void {
    clearInterval(this.beat);
    this.all.forEach((bench) => bench.close());
  }
}
