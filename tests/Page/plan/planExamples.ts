import type { Plan, PlanPencil, PlanSequence, PlanShade, PlanZone, SequencePass } from '../../../resources/ts/api/types';
import { chartPencil, outcome, spot } from '../examples';

export const sequencePass = (number: string, pressures: SequencePass['pressures'], more: Partial<SequencePass> = {}): SequencePass => ({
    finish: null,
    care: null,
    pencil: { id: `Slipway/${number}`, line: 'Slipway', number, name: `Pencil ${number}`, binder: 'oil', assumed: [] },
    pressures,
    words: `${number} over all of it lightly`,
    reason: 'Without it the dark ends a step too light.',
    dabs: Object.fromEntries(
        Object.entries(pressures)
            .filter(([, m]) => m !== null)
            .map(([shade]) => [shade, { hex: '#888888', strata: [], colourWords: 'value 5 of 9', toothUsed: 0.2, evenness: 'even' }]),
    ),
    ...more,
});

export const sequence = (more: Partial<PlanSequence> = {}): PlanSequence => ({
    label: 'surest on paper',
    words: '704 over all of it lightly; 711 from the middle down, at medium pressure.',
    passes: [sequencePass('704', { light: 'whisper', mid: 'light' }), sequencePass('711', { light: null, mid: 'medium' })],
    outcomes: { light: outcome(), mid: outcome({ evenness: 'even' }) },
    warnings: [],
    errorOnPaper: 3.62,
    errorInHand: 2.9,
    missed: 1.1,
    grain: 7.1,
    own: false,
    ...more,
});

export const shade = (shade: PlanShade['shade'], more: Partial<PlanShade> = {}): PlanShade => ({
    shade,
    name: shade,
    seen: spot,
    aim: spot,
    overruled: {},
    ...more,
});

export const zoneOfPlan = (number: number, name: string, shades: PlanShade[], more: Partial<PlanZone> = {}): PlanZone => ({
    number,
    name,
    area: 0.25,
    surface: 'smooth',
    importance: 'ordinary',
    method: null,
    hue: null,
    strokes: null,
    sequence: sequence(),
    shades,
    ...more,
});

export const pencilOfPlan = (number: string, more: Partial<PlanPencil> = {}): PlanPencil => ({
    ...chartPencil(number),
    zones: [3],
    part: null,
    ...more,
});

export const picture = (more: Partial<Plan> = {}): Plan => ({
    run: null,
    settings: { method: [], mode: 'colour-and-value', pencils: null, keep: [], without: [], hue: 'as seen' },
    startingPoints: [
        { value: 'light-to-dark', title: 'Light to dark', why: 'Lights first.', settings: ['values=light-to-dark'] },
        { value: 'anything-goes', title: 'Anything goes', why: 'Whatever comes closest.', settings: [] },
    ],
    methodSettings: [
        {
            name: 'values',
            title: 'Order of value',
            choices: [
                { value: 'free', why: 'Whichever is most accurate.' },
                { value: 'light-to-dark', why: 'Lights stay clean.' },
            ],
        },
        {
            name: 'darks',
            title: 'Darks',
            choices: [
                { value: 'black-allowed', why: 'Black where it is most accurate.' },
                { value: 'never-black', why: 'Mixed darks stay lively.' },
            ],
        },
    ],
    hues: ['as seen', 'blue', 'grey'],
    undoWords: null,
    redoWords: null,
    named: [],
    version: 0,
    stamp: 0,
    cannot: null,
    zones: [zoneOfPlan(3, 'rope', [shade('light'), shade('mid')]), zoneOfPlan(5, 'sea', [shade('mid')], { sequence: null })],
    palette: [pencilOfPlan('668'), pencilOfPlan('735')],
    left: [{ id: 'Slipway/745', line: 'Slipway', number: '745', name: 'Bollard iron', binder: 'oil', assumed: [], lockedOut: false }],
    curve: [
        { pencils: 3, deltaE00: 1.4 },
        { pencils: 4, deltaE00: 0.9 },
        { pencils: 24, deltaE00: 0.2 },
    ],
    suffering: [],
    warnings: [],
    time: 'about 40 minutes',
    tone: 'The darkest 6 % lies below your darkest mix.',
    waiting: 1,
    steps: 2,
    passes: 2,
    meanDeltaE00: 0.31,
    errorOnPaper: 3.6,
    errorInHand: 2.9,
    pressures: (['whisper', 'light', 'medium', 'firm', 'full'] as const).map((pressure, i) => ({
        pressure,
        strokes: i + 1,
        share: 0.2 + 0.2 * i,
    })),
    finishes: ['solvent', 'blender', 'tissue', 'lift'],
    ...more,
});
