import { isEqual } from '@ratio/core/document';
import { isRecord } from './json.ts';

/**
 * Fields that two people changed to different things, as paths such as `mill.name`.
 *
 * @param input.before the document that both began with
 * @param input.after what one made of it
 * @param input.now what the other made of it
 */
export function conflicts(input: { before: unknown; after: unknown; now: unknown }): string[] {
  const { before, after, now } = input;
  if (isEqual(before, after) || isEqual(before, now) || isEqual(after, now)) return [];
  if (!isRecord(before) || !isRecord(after) || !isRecord(now)) return [''];
  const keys = new Set([...Object.keys(before), ...Object.keys(after), ...Object.keys(now)]);
  return [...keys].flatMap((key) =>
    conflicts({ before: before[key], after: after[key], now: now[key] }).map((path) =>
      path === '' ? key : `${key}.${path}`,
    ),
  );
}
