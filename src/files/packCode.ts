import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';

import type { Specification } from '@/core/job/specification';
import { jobOfSpecification, specificationOf } from '@/core/job/specification';
import type { Job } from '@/core/job/types';

import { jobFileOf, takeJobFile } from './jobFile';
import { FileRefused } from './refused';

/*
 * A pack's specification in so few bytes that they fit a QR code: JSON, deflated with a dictionary of the words that every
 * specification has. Layout: "UR", one byte for the version, raw deflate.
 */

const VERSION = 1;
const HEAD = [0x55, 0x52, VERSION] as const;

/** Capacity of the largest QR code (version 40, error correction L); ISO/IEC 18004. */
export const MOST_BYTES = 2953;

/**
 * Words of every specification, the commonest last, where deflate looks first. Part of version 1: another dictionary is
 * another version.
 */
const WORDS = strToU8(
  [
    '"startAndBelt""startAndPack""belt""unknown""sintered""cork""aramid""aluminium""uniformPressure"',
    '"hydraulic""cable""measured""geometry""tester""loose""levers""balls""crank""input"',
    '{"machine":{"name":"","use":"","layout":"pack"},"engine":{"peakTorque":{"value":"peakTorqueRpm":{"value":',
    '"idleRpm":{"value":"primaryRatio":{"value":"primaryEfficiency":{"value":},"duty":{},"pack":{"kinds":[',
    '"assist":{"type":"none","startClutch":{"place":"none"},"release":{"type":"hydraulic","liftReadings":[],',
    '"leverTravel":{"value":"leverRatio":{"value":"efficiency":{"value":"masterDiameter":{"value":"slaveDiameter":{"value":',
    '"armLength":{"value":"lead":{"value":"armStart":{"value":"lostTravel":{"value":"cableSlack":{"value":',
    '"requiredLift":{"value":"faceClearance":{"value":"expanding":{"fitted":false},"setting":{"readings":[]}}',
    '"gapMin":{"value":"gapMax":{"value":"pitch":{"value":"marksPerTurn":{"value":"freePlayMin":{"value":"freePlayMax":{"value":',
    '"floorTurnsWith":"hub","pressurePlateTurnsWith":"hub","radiusModel":"uniformWear","caliperTaken":"dryByHand",',
    '"windowMin":{"value":"windowMax":{"value":"maxWear":{"value":"splineLength":{"value":',
    '"springs":{"type":"coil","coil":{"groups":[{"id":"","name":"","rateFrom":"rate","testerPoints":[],"count":{"value":',
    '"rate":{"value":"freeLength":{"value":"minFreeLength":{"value":"solidLength":{"value":"length":{"value":"force":{"value":',
    '"ring":[],"seatDistance":{"value":"pressurePlate":{"value":"shim":{"value":"ringRadius":{"value":',
    '"diaphragm":{"forceFrom":"geometry","steps":[],"points":[]},"loose":{}},"outerDiameter":{"value":"innerDiameter":{"value":',
    '"coneHeight":{"value":"fingerRatio":{"value":"offset":{"value":"bandMin":{"value":"bandMax":{"value":"deflection":{"value":',
    '"lining":"paper","material":"steel","turnsWith":"hub","lined":"none","turnsWith":"basket","lined":"both",',
    '"thickness":{"value":"minThickness":{"value":"tolerance":{"value":"outerRadius":{"value":"innerRadius":{"value":',
    '"tangRadius":{"value":"mass":{"value":"frictionLow":{"value":"frictionTypical":{"value":"frictionHigh":{"value":',
    '"plates":[{"id":"","kindId":"0","facing":"outward","judder":true,"offsetSlot":true,"directional":true},{"id":"',
    '"source":{"kind":"tested","date":"2026-"source":{"kind":"measured","date":"2026-"source":{"kind":"manual"}},',
  ].join(''),
);

/** The bytes of a job's specification, for a code. May be more than {@link MOST_BYTES}. */
export function writePackCode(job: Job): Uint8Array {
  const text = JSON.stringify(specificationOf(job));
  const body = deflateSync(strToU8(text), { level: 9, dictionary: WORDS });
  return new Uint8Array([...HEAD, ...body]);
}

/** No specification unpacks to more; deflate could make three megabytes of a code's bytes. */
const MOST_UNPACKED = 400_000;

/**
 * The job in the bytes of a code, whole or not at all.
 * @param id of the new job, with its number and the ISO time
 * @throws {FileRefused} for anything that is not such a code
 */
export function readPackCode(bytes: Uint8Array, id: string, number: string, now: string): Job {
  if (bytes[0] !== HEAD[0] || bytes[1] !== HEAD[1])
    throw new FileRefused('The code is not an Under Ridge pack.');
  const version = bytes[2] ?? 0;
  if (version !== VERSION)
    throw new FileRefused(
      version > VERSION
        ? `The code is of version ${version}; this program reads up to ${VERSION}. Read it with a newer Under Ridge.`
        : 'The code is damaged.',
    );
  let spec: unknown;
  try {
    const room = new Uint8Array(MOST_UNPACKED);
    const text = inflateSync(bytes.subarray(HEAD.length), { out: room, dictionary: WORDS });
    spec = JSON.parse(strFromU8(text));
  } catch {
    throw new FileRefused('The code is damaged.');
  }
  if (typeof spec !== 'object' || spec === null || Array.isArray(spec) || !('machine' in spec))
    throw new FileRefused('The code is damaged.');
  // Only parts of a specification: anything else must not reach the job.
  const job = jobOfSpecification(onlyParts(spec as Specification), id, number, now);
  return takeJobFile(jobFileOf(job, {}, now)).job;
}

function onlyParts(given: Specification): Specification {
  const { machine, engine, duty, pack, springs, assist, startClutch, release, expanding, setting } =
    given;
  return { machine, engine, duty, pack, springs, assist, startClutch, release, expanding, setting };
}
