const TWO = (n: number): string => String(n).padStart(2, '0');

/**
 * The minute of an ISO time by the clock of the workshop.
 * @example minute('2026-11-28T10:05:00.000Z').length // 16
 */
export function minute(iso: string): string {
  const at = new Date(iso);
  return `${at.getFullYear()}-${TWO(at.getMonth() + 1)}-${TWO(at.getDate())} ${TWO(at.getHours())}:${TWO(at.getMinutes())}`;
}
