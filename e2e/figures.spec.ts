import type { Page } from '@playwright/test';

import { alternate, blankCoilGroup, blankJob, blankKind } from '../src/core/job/blank';
import { entry } from '../src/core/job/entry';
import type { Job } from '../src/core/job/types';
import { demoShelf } from '../src/demo/shelf';
import { writeJobFile } from '../src/files/jobFile';
import type { Workshop } from './bench';
import type { Values } from '@/testing/packs';
import { put } from '@/testing/packs';
import { expect, ON_WIDE, test } from './bench';

/* For each section of the page on mechanics, one example whose figures were worked out by hand, read on the screen. */

const NOW = '2026-03-01T08:00:00.000Z';

/** Eight discs and seven steels, 34.5 mm; five springs that press 16 mm at 20 N/mm: 1600 N. */
function pack(id: string, values: Values = {}, change: (job: Job) => Job = (j) => j): Job {
  const blank = blankJob(id, `UR-9${id}`, NOW);
  const job: Job = {
    ...blank,
    machine: { ...blank.machine, name: `Worked example ${id}` },
    pack: {
      ...blank.pack,
      kinds: [
        blankKind('disc', 'friction', 'Disc'),
        blankKind('steel', 'steel', 'Steel'),
        blankKind('wide', 'friction', 'Disc, large bore'),
      ],
      plates: alternate('disc', 'steel', 8, 'friction', (n) => `p${n}`),
    },
    springs: {
      ...blank.springs,
      coil: { ...blank.springs.coil, groups: [blankCoilGroup('a', 'A')] },
    },
    release: { ...blank.release, type: 'measured' },
  };
  return change(
    put(job, {
      'engine.peakTorque': 60,
      'engine.peakTorqueRpm': 6500,
      'engine.primaryRatio': 2.8,
      'engine.idleRpm': 1500,
      'pack.kinds.disc.thickness': 3,
      'pack.kinds.disc.outerRadius': 58.5,
      'pack.kinds.disc.innerRadius': 46.5,
      'pack.kinds.disc.tangRadius': 61,
      'pack.kinds.steel.thickness': 1.5,
      'pack.kinds.steel.tangRadius': 43,
      'pack.kinds.wide.thickness': 3,
      'pack.kinds.wide.outerRadius': 58.5,
      'pack.kinds.wide.innerRadius': 50.5,
      'pack.kinds.wide.tangRadius': 61,
      // One friction, low and high alike, as in the published case.
      ...Object.fromEntries(
        ['disc', 'wide'].flatMap((kind) =>
          ['Low', 'Typical', 'High'].map((f) => [`pack.kinds.${kind}.friction${f}`, 0.12]),
        ),
      ),
      'springs.coil.seatDistance': 62.5,
      'springs.coil.groups.a.count': 5,
      'springs.coil.groups.a.rate': 20,
      'springs.coil.groups.a.freeLength': 44,
      'springs.coil.groups.a.solidLength': 20,
      'release.measuredLift': 1.5,
      'release.leverTravel': 60,
      'release.faceClearance': 0.09,
      ...values,
    }),
  );
}

const innermostWide = (job: Job): Job => ({
  ...job,
  pack: {
    ...job.pack,
    plates: job.pack.plates.map((p, i) => (i === 0 ? { ...p, kindId: 'wide' } : p)),
  },
});

/** Takes a job in by a file and opens all of its figures. */
async function figures(shop: Workshop, page: Page, job: Job): Promise<void> {
  await shop.open('/');
  await shop.importFile({
    name: `${job.id}.json`,
    mimeType: 'application/json',
    buffer: Buffer.from(writeJobFile(job, {}, NOW)),
  });
  await expect(page.getByText(`${job.machine.name} imported.`)).toBeVisible();
  await shop.stored();
  await shop.open(`/job/${job.id}?stage=specify&tab=figures`);
}

async function shows(page: Page, rows: Readonly<Record<string, string>>): Promise<void> {
  for (const [label, value] of Object.entries(rows))
    await expect
      .soft(
        page
          .getByRole('main')
          .getByRole('button', { name: `${label}: ${value}. Show the working.` })
          .first(),
        `${label} is ${value}`,
      )
      .toBeVisible({ timeout: 4000 });
}

test(
  'shows the figures worked out by hand, section by section',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    // Sections 1 to 4 and 6: stack, faces, torque with tangs, springs, lift and clearance.
    await figures(shop, page, pack('1', {}, innermostWide));
    await shows(page, {
      'Stack height': '34.500 mm',
      'Friction faces': '16',
      'Torque at the clutch': '168.0 N·m',
      'Torque capacity': '162.0 N·m',
      'Torque capacity with tang friction': '145.3 N·m',
      'Clamp at the innermost face': '1280 N',
      'Rate of all springs': '100.000 N/mm',
      'Fitted spring length': '28.000 mm',
      Clamp: '1600 N',
      'Lift required': '1.440 mm',
      'Clearance per face': '0.094 mm',
      'Overall ratio': '40.0',
    });

    // Section 4: rate from the wire, Wahl's stress at 259 N, and two spring types side by side.
    const k = 23.577_18;
    await figures(
      shop,
      page,
      pack(
        '2',
        {
          'springs.coil.groups.a.wireDiameter': 2.7,
          'springs.coil.groups.a.meanDiameter': 15.5,
          'springs.coil.groups.a.activeCoils': 6,
          'springs.coil.groups.a.count': 1,
          'springs.coil.seatDistance': 34.5 + 44 - (259 / k - 1.5),
        },
        (j) => ({
          ...j,
          springs: {
            ...j.springs,
            coil: {
              ...j.springs.coil,
              groups: j.springs.coil.groups.map((g) => ({ ...g, rateFrom: 'wire' })),
            },
          },
        }),
      ),
    );
    await shows(page, {
      'Rate of all springs': '23.577 N/mm',
      'Wire stress at full lift': '657 MPa',
    });

    // Section 5: a diaphragm of 108 × 82 × 1.8 with 3.4 mm of cone, at 3.2 mm.
    await figures(
      shop,
      page,
      pack(
        '3',
        {
          'springs.diaphragm.outerDiameter': 108,
          'springs.diaphragm.innerDiameter': 82,
          'springs.diaphragm.thickness': 1.8,
          'springs.diaphragm.coneHeight': 3.4,
          'springs.diaphragm.referenceDeflection': 3.2,
          'springs.diaphragm.referenceStack': 34.5,
        },
        (j) => ({ ...j, springs: { ...j.springs, type: 'diaphragm' } }),
      ),
    );
    await shows(page, { 'Spring deflection': '3.200 mm', Clamp: '4000 N' });

    // Section 6: three dial readings; section 7: hydraulics, and a cable.
    await figures(
      shop,
      page,
      pack('4', {}, (j) =>
        put(
          {
            ...j,
            release: { ...j.release, liftReadings: ['x', 'y', 'z'].map((id) => ({ id })) },
          },
          {
            'release.liftReadings.x.angle': 0,
            'release.liftReadings.x.lift': 1.62,
            'release.liftReadings.y.angle': 120,
            'release.liftReadings.y.lift': 1.21,
            'release.liftReadings.z.angle': 240,
            'release.liftReadings.z.lift': 1.49,
          },
        ),
      ),
    );
    await shows(page, { 'Tilt, amplitude': '0.242 mm', 'Minimum local lift': '1.198 mm' });
    const train = {
      'release.leverTravel': 62,
      'release.leverRatio': 5.2,
      'release.lostTravel': 0.4,
      'release.masterDiameter': 9.5,
      'release.slaveDiameter': 27,
    };
    await figures(
      shop,
      page,
      pack('5', train, (j) => ({ ...j, release: { ...j.release, type: 'hydraulic' } })),
    );
    await shows(page, { Lift: '1.427 mm', 'Overall ratio': '42.0' });
    await figures(
      shop,
      page,
      pack(
        '6',
        {
          'release.leverTravel': 60,
          'release.leverRatio': 5,
          'release.cableSlack': 2,
          'release.armLength': 32,
          'release.lead': 30,
        },
        (j) => ({ ...j, release: { ...j.release, type: 'cable' } }),
      ),
    );
    await shows(page, { Lift: '1.492 mm' });

    // Section 8: a gap by turns and marks, and the lever's gain; section 9: weights at the clutch's own speed.
    await figures(
      shop,
      page,
      pack(
        '7',
        {
          'setting.pitch': 1.25,
          'setting.marksPerTurn': 8,
          'setting.turnsOut': 1,
          'setting.marksOut': 3,
          'setting.installGap': 1.25,
          'expanding.growth': 1.6,
          'assist.count': 6,
          'assist.mass': 0.011,
          'assist.radius': 47,
          'assist.leverRatio': 1,
        },
        (j) => ({
          ...j,
          expanding: { ...j.expanding, fitted: true },
          assist: { ...j.assist, type: 'levers' },
        }),
      ),
    );
    await shows(page, {
      'Gap by the adjuster': '1.719 mm',
      'Lever gain': '14.0 mm',
      'Centrifugal clamp at peak torque': '183 N',
    });

    // Section 10: constant torques, so slip and heat have a closed form.
    const [mass, wheel, gear, ratio] = [200, 300, 8.5, 2.8];
    const arm = wheel / 1000 / gear;
    const [engineJ, vehicleJ] = [0.01 * ratio ** 2, mass * arm ** 2];
    const begun = ((6000 / ratio) * Math.PI) / 30;
    const [engine, clutch] = [60 * ratio * 0.5, 0.12 * 1600 * 0.0525 * 16];
    const load = mass * 9.80665 * 0.02 * arm;
    const slip = begun / ((clutch - engine) / engineJ + (clutch - load) / vehicleJ);
    await figures(
      shop,
      page,
      pack('8', {
        'duty.mass': mass,
        'duty.wheelRadius': wheel,
        'duty.gearRatio': gear,
        'duty.startRpm': 6000,
        'duty.engineInertia': 0.01,
        'duty.throttle': 0.5,
        'duty.letOut': 0,
        // Without tang friction the slip has a closed form.
        'pack.tangFriction': 0,
        'duty.grade': 0,
      }),
    );
    await shows(page, { 'Heat of one start': `${Math.round((clutch * begun * slip) / 2)} J` });
  },
);

test(
  'wear over hours is the published line, and its first limit is where that line meets it',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    // Section 11: wear of 0, 0.06, 0.15, 0.23 mm at 0, 18, 41, 66 h; least squares 0.00352785·h − 0.000245.
    const worn: readonly (readonly [number, number])[] = [
      [18, 0.06],
      [41, 0.15],
      [66, 0.23],
    ];
    const all = (thickness: number, job: Job) =>
      Object.fromEntries(
        job.pack.plates
          .filter((p) => p.kindId !== 'steel')
          .map((p) => [p.id, entry(thickness, { kind: 'measured' })]),
      );
    await figures(
      shop,
      page,
      pack('11', { 'intake.hours': 0, 'pack.kinds.disc.minThickness': 2.7 }, (j) => ({
        ...j,
        pack: {
          ...j.pack,
          plates: j.pack.plates.map((p) =>
            p.kindId === 'steel' ? p : { ...p, readings: { '1': entry(3) } },
          ),
        },
        visits: worn.map(([hours, wear], i) => ({
          id: `v${i}`,
          date: `2026-0${i + 4}-01`,
          hours: entry(hours),
          readings: all(3 - wear, j),
          note: '',
        })),
      })),
    );
    await shop.open('/job/11?stage=log');
    // Eight discs wear together: eight times the slope is 0.2822 mm in 10 h.
    await expect(page.getByRole('img', { name: /the trend is 0\.282 mm in 10 h/ })).toBeVisible();
    // 0.3 mm of one disc: (0.3 + 0.000245) ÷ 0.00352785 = 85.1 h.
    await expect(page.getByTestId('life').or(page.getByRole('main'))).toContainText(
      /Plate 1 too thin\s*85\sh/,
    );
  },
);

test(
  'finds the shelf set nearest to the middle of the limits',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    // Section 12: eight discs of 3 mm stay, seven steels are chosen; the middle of 34.2 to 34.8 mm asks 10.5 mm of them.
    await figures(
      shop,
      page,
      pack('12', { 'pack.windowMin': 34.2, 'pack.windowMax': 34.8 }, (j) => ({
        ...j,
        springs: {
          ...j.springs,
          coil: {
            ...j.springs.coil,
            groups: j.springs.coil.groups.map((g) => ({ ...g, rate: entry(26) })),
          },
        },
      })),
    );
    await shop.open('/job/12?stage=specify&tab=pack');
    await shop.unfold('From the shelf');
    await page.getByRole('button', { name: 'Find the ten best' }).click();
    const first = page.getByRole('listitem').filter({ hasText: /^1\. / });
    await expect(first).toContainText('1. 34.500 mm');
    const labels = [...(await first.innerText()).matchAll(/\bS\d+\b/g)].map(([label]) => label);
    expect(labels).toHaveLength(7);
    const thickness = new Map(demoShelf().plates.map((p) => [p.label, p.thickness]));
    const sum = labels.reduce((s, label) => s + (thickness.get(label) ?? Number.NaN), 0);
    expect(sum).toBeCloseTo(10.5, 9);
  },
);

test(
  'numbers are taken as people write them, and asked about where another unit would fit',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    await shop.newJob();
    await shop.choose('Clutch type', 'Plate pack');
    // Section 13: 1 in = 25.4 mm, 1 ft·lb = 1.3558179 N·m, 1 in·lb a twelfth of it.
    const torques = {
      '8.1 ft-lb': '11',
      '97.4 in-lb': '11',
      '12.5 Nm': '12.5',
      '12,5': '12.5',
      '11–13 Nm': '12',
    };
    for (const [typed, shown] of Object.entries(torques)) {
      await shop.type('engine.peakTorque', typed);
      await expect(shop.field('engine.peakTorque')).toHaveValue(shown);
    }
    await shop.stage('Specify');
    const disc = 'pack.kinds.disc.thickness';
    const lengths = {
      '2.92': '2.92',
      '2,92': '2.92',
      '0.115in': '2.921',
      '.115"': '2.921',
      '115 thou': '2.921',
      '1/8"': '3.175',
      '5/32 in': '3.969',
      '2.92mm': '2.92',
    };
    for (const [typed, shown] of Object.entries(lengths)) {
      await shop.type(disc, typed);
      await expect(shop.field(disc)).toHaveValue(shown);
    }
    await shop.type('pack.kinds.disc.outerRadius', '4 5/8"');
    await expect(shop.field('pack.kinds.disc.outerRadius')).toHaveValue('117.475');
    // 2.92 in would be 74 mm: questioned, and one key gives the intended value.
    await shop.type(disc, '2.92 in');
    await expect(page.getByText(/did you mean 2\.920\smm/i)).toBeVisible();
    await page.getByRole('button', { name: '2.920 mm', exact: true }).click();
    await expect(shop.field(disc)).toHaveValue('2.92');
    await shop.type(disc, '2.9 kg');
    await expect(page.getByText(/“kg” is not a unit for this field/)).toBeVisible();
    await expect(shop.field(disc)).toHaveValue('2.9 kg');
  },
);
