import { act, renderHook } from '@testing-library/react';

import type { PropsWithChildren } from 'react';
import { Provider } from 'react-redux';

import type { BenchReading } from '@/state/benchSlice';
import type { AppStore } from '@/state/store';
import { makeStore } from '@/state/store';

import { connectBench, disconnectBench, useBenchLink, useBenchReadings } from '../benchLink';

/** An event stream whose server is the test. */
class Stream extends EventTarget {
  static readonly CLOSED = 2;
  static all: Stream[] = [];
  readyState = 1;
  closed = false;
  onerror: () => void = () => undefined;

  constructor(readonly url: string) {
    super();
    Stream.all.push(this);
  }

  static last(): Stream {
    const stream = Stream.all.at(-1);
    if (!stream) throw new Error('No stream was opened.');
    return stream;
  }

  close(): void {
    this.closed = true;
    this.readyState = Stream.CLOSED;
  }

  says(type: string, data: unknown): void {
    const text = typeof data === 'string' ? data : JSON.stringify(data);
    act(() => void this.dispatchEvent(new MessageEvent(type, { data: text })));
  }

  breaks(readyState: number): void {
    this.readyState = readyState;
    act(() => this.onerror());
  }
}

let store: AppStore;
const wrapper = ({ children }: PropsWithChildren) => <Provider store={store}>{children}</Provider>;

beforeEach(() => {
  store = makeStore();
  jest.useFakeTimers();
  Stream.all = [];
  Object.assign(globalThis, { EventSource: Stream });
});
afterEach(() => {
  act(() => store.dispatch(disconnectBench));
  jest.useRealTimers();
});

/** A part of a pull on the dyno, as it is sent. */
const PART = {
  device: 'dyno',
  id: 9,
  pull: 1,
  part: 0,
  unit: 'N·m',
  samples: [[3000, '30.25']],
  last: false,
};

function connected(bench = 1) {
  const { result } = renderHook(() => useBenchLink(), { wrapper });
  act(() => store.dispatch(connectBench(bench)));
  Stream.last().says('hello', { unit: 'mm' });
  return result;
}

describe('the link to the instruments of a bench', () => {
  it('is off until the builder connects it, and then reports its state', () => {
    const { result } = renderHook(() => useBenchLink(), { wrapper });
    expect(result.current.status).toBe('off');
    expect(Stream.all).toHaveLength(0);
    act(() => store.dispatch(connectBench(2)));
    expect(result.current).toMatchObject({ status: 'connecting', bench: 2 });
    expect(Stream.last().url).toBe('/api/bench/2/stream');
    Stream.last().says('hello', { unit: 'in' });
    expect(result.current).toMatchObject({ status: 'connected', unit: 'in' });
    act(() => store.dispatch(disconnectBench));
    expect(result.current).toMatchObject({ status: 'off', unit: undefined });
    expect(Stream.last().closed).toBe(true);
  });

  it('gives readings of gauge and tester to who is on screen, and to nobody after', () => {
    const link = connected();
    const taken: BenchReading[] = [];
    const { unmount } = renderHook(() => useBenchReadings((reading) => taken.push(reading)), {
      wrapper,
    });
    const gauge = { device: 'gauge', id: 1, text: '0.114', unit: 'in' };
    const tester = { device: 'tester', id: 2, length: '28.65', force: '196' };
    Stream.last().says('reading', gauge);
    Stream.last().says('reading', tester);
    expect(taken).toEqual([gauge, tester]);
    Stream.last().says('reading', PART);
    expect(taken.pop()).toEqual({ ...PART, samples: [[3000, 30.25]] });
    // The unit on the gauge's display has changed with its reading.
    expect(link.current.unit).toBe('in');
    unmount();
    Stream.last().says('reading', { ...gauge, id: 3 });
    expect(taken).toHaveLength(2);
  });

  it.each([
    ['no JSON', '{"device":'],
    ['nothing', 'null'],
    ['no number of the reading', { device: 'gauge', text: '2.9', unit: 'mm' }],
    ['a unit that no gauge has', { device: 'gauge', id: 1, text: '2.9', unit: 'furlong' }],
    ['text beyond any display', { device: 'gauge', id: 1, text: '9'.repeat(25), unit: 'mm' }],
    ['half a point of the tester', { device: 'tester', id: 1, length: '28.65' }],
    ['a pull in a unit that no dyno has', { ...PART, unit: 'kgm' }],
    ['a pull of no samples', { ...PART, samples: 'many' }],
    ['half a sample of a pull', { ...PART, samples: [[3000, '30'], [3100]] }],
    ['a sample that is no number', { ...PART, samples: [[3000, 'thirty']] }],
    ['more samples than a pull has', { ...PART, samples: Array(2001).fill([3000, '30']) }],
    ['another instrument', { device: 'kettle', id: 1, text: '2.9', unit: 'mm' }],
  ])('passes over what is %s', (_what, data) => {
    connected();
    const take = jest.fn();
    renderHook(() => useBenchReadings(take), { wrapper });
    Stream.last().says('reading', data);
    expect(take).not.toHaveBeenCalled();
  });

  it('says that it was lost, and leaves a broken stream to open itself again', () => {
    const link = connected();
    Stream.last().breaks(0);
    expect(link.current.status).toBe('lost');
    act(() => void jest.advanceTimersByTime(10_000));
    expect(Stream.all).toHaveLength(1);
    Stream.last().says('hello', {});
    expect(link.current.status).toBe('connected');
  });

  it('opens a refused stream again by itself, until the builder ends it', () => {
    const link = connected();
    Stream.last().breaks(Stream.CLOSED);
    expect(link.current.status).toBe('lost');
    act(() => void jest.advanceTimersByTime(1500));
    expect(Stream.all).toHaveLength(2);
    Stream.last().says('hello', {});
    expect(link.current.status).toBe('connected');
    Stream.last().breaks(Stream.CLOSED);
    act(() => store.dispatch(disconnectBench));
    act(() => void jest.advanceTimersByTime(10_000));
    expect(Stream.all).toHaveLength(2);
    expect(link.current.status).toBe('off');
  });

  it('hears nothing more of the bench that it left for another', () => {
    const link = connected(1);
    const before = Stream.last();
    act(() => store.dispatch(connectBench(2)));
    expect(before.closed).toBe(true);
    Stream.last().says('hello', { unit: 'mm' });
    before.breaks(Stream.CLOSED);
    expect(link.current).toMatchObject({ status: 'connected', bench: 2 });
    act(() => void jest.advanceTimersByTime(10_000));
    expect(Stream.all).toHaveLength(2);
  });
});
