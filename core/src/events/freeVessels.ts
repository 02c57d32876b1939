import { vesselTakesMl } from '../brew/vessel.ts';
import { roomFor } from '../jug/balance.ts';
import { refuse, type EventContext } from './decision.ts';
import type { EventState } from './state.ts';

/** The vessel that a jug is filled into. */
interface Into {
  readonly vesselId: string | null;
  readonly capacityMl: number | null;
  /** What the shop calls it; undefined where it is no vessel of the shop. */
  readonly label: string | undefined;
}

/**
 * The shop's jugs, each taken once as long as it is empty.
 */
export function freeVessels(input: { state: EventState; context: Pick<EventContext, 'vessels'> }) {
  const { state, context } = input;
  const filled = [...state.jugs.values()].filter(({ onHandG }) => onHandG > 0);
  const inUse = new Map(filled.map(({ vesselId, label }) => [vesselId, label]));
  return {
    /**
     * Takes a vessel for coffee that is filled into it. Refuses an unknown one, one that is not empty, and
     * more than it holds.
     *
     * @param of.path where the request states the amount
     * @param of.capacityMl to its mark, where it is no vessel of the shop
     */
    take(input: {
      vesselId: string | undefined;
      massG: number;
      strengthFrac: number;
      path: string;
      capacityMl?: number | null | undefined;
    }): Into {
      const { vesselId, path, massG, strengthFrac } = input;
      const vessel = context.vessels.find(({ id }) => id === vesselId);
      if (vesselId !== undefined && !vessel)
        refuse('not_found', `There is no vessel “${vesselId}”.`);
      const name = vessel?.name ?? 'This jug';
      if (vessel && inUse.has(vessel.id))
        refuse(
          'not_possible_now',
          `${name} still holds ${inUse.get(vessel.id)}. Empty it first, or take another one.`,
          { issues: [{ path, message: 'This jug is not empty.' }] },
        );
      const capacityMl = vessel ? vesselTakesMl(vessel) : (input.capacityMl ?? null);
      const { needMl, fits } = roomFor({ capacityMl, massG, strengthFrac });
      if (!fits) {
        const over = Math.round(needMl - capacityMl!);
        refuse(
          'out_of_range',
          `${name} takes ${Math.round(capacityMl!)} mL: ${over} mL do not fit. Put them into another one.`,
          { issues: [{ path, message: `${Math.round(needMl)} mL are too much by ${over} mL.` }] },
        );
      }
      if (vessel) inUse.set(vessel.id, name);
      return { vesselId: vessel?.id ?? null, capacityMl, label: vessel?.name };
    },
  };
}
