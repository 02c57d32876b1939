import { z } from 'zod';

const line = z.string().trim().min(1).max(120);

/** What a shop goes through when it opens and when it closes (common practice). */
const USUAL_CHECKLISTS = {
  opening: ['Fridge read: 5 °C or colder', 'Jugs tasted', 'Ice filled', 'Syrups and milks dated'],
  closing: ['Jugs counted', 'Jugs covered and cold', 'Vessels clean', 'Foam thrown away'],
};

/** The lines of both lists, as the shop wants them. */
export const checklistsSchema = z
  .strictObject({ opening: z.array(line).max(30), closing: z.array(line).max(30) })
  .default(USUAL_CHECKLISTS);

/** @returns a fresh copy of the usual lists */
export const usualChecklists = () => ({
  opening: [...USUAL_CHECKLISTS.opening],
  closing: [...USUAL_CHECKLISTS.closing],
});
