import Joi from 'joi';

import type { ShelfPlate } from '@/core/shelf/solver';

import { parseJson } from './jobFile';
import { FileRefused } from './refused';

const SHELF = Joi.object({
  format: Joi.string().valid('under-ridge-shelf').required(),
  version: Joi.number().valid(1).required(),
  plates: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().max(64).required(),
        thickness: Joi.number().greater(0).max(60).required(),
        count: Joi.number().integer().min(1).max(200).default(1),
        isNew: Joi.boolean().default(false),
        outOfFlat: Joi.number().min(0).max(10),
      }),
    )
    .min(1)
    .max(2000)
    .required(),
});

/**
 * Reads a shelf of plates to choose from: `{"format": "under-ridge-shelf", "version": 1, "plates": [{"id", "thickness",
 * "count", "isNew", "outOfFlat"}]}`, lengths in mm.
 * @throws {FileRefused} for anything else, naming line or path
 */
export function readShelfFile(text: string): ShelfPlate[] {
  const { error, value } = SHELF.validate(parseJson(text), { convert: false });
  if (error) {
    const [detail] = error.details;
    throw new FileRefused(
      `Not a valid shelf file: at ${detail?.path.join('.') || 'the file'}, ${(detail?.message ?? error.message).replace(/^"[^"]*"\s*/, 'it ')}.`,
    );
  }
  return (value as { plates: ShelfPlate[] }).plates;
}
