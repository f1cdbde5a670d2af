import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { IDLE_MARGIN } from '../../evaluate/engine/verdict';
import { say } from '../../text/sentence';

/**
 * Whether the shoes stay clear of idle.
 * @example judgeStart(workOut(farm).sheet).title // "Start clutch engages close to idle"
 */
export function judgeStart(sheet: Sheet): Verdict | undefined {
  const contact = sheet.known('startContact');
  const idle = sheet.valueAt('engine.idleRpm');
  if (!contact || idle === undefined) return undefined;
  const base = { id: 'start', figures: ['startContact', 'startHolding'] } as const;
  const at = { value: contact.value, quantity: 'speed' } as const;
  const idles = { value: idle, quantity: 'speed' } as const;
  if (contact.value <= idle) {
    return {
      ...base,
      state: 'stop',
      title: 'Creeps at idle',
      sentence: say`First contact at ${at}, below idle at ${idles}: the machine creeps.`,
    };
  }
  if (contact.value < idle * (1 + IDLE_MARGIN)) {
    return {
      ...base,
      state: 'watch',
      title: 'Start clutch engages close to idle',
      sentence: say`First contact at ${at}, just above idle at ${idles}: a cold fast idle makes it creep.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Start clutch clear of idle',
    sentence: say`First contact at ${at}, clear of idle at ${idles}.`,
  };
}
