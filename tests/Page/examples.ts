import type {
    ChartPencil,
    KeptRecipe,
    KeptRecipes,
    Outcome,
    Photo,
    Sequence,
    SequencePass,
    Spot,
    StackStep,
    Stock,
    Study,
    Survey,
    TrayPencil,
    Zone,
    Zones,
} from '../../resources/ts/api/types';

/** Answers of the application as the page gets them, small enough to read. */

export const study: Study = {
    id: 7,
    name: 'Low water',
    paper: 'white medium',
    paperHex: '#f6f4ee',
    hand: null,
    photoId: 3,
    photoName: 'low-water.jpg',
    photoWidth: 1920,
    photoHeight: 1440,
    pictureWidthMm: 297,
};

export const spot: Spot = {
    hex: '#d2cfbd',
    lab: [83.1, -1.7, 9.0],
    valueStep: 8,
    valueSteps: 9,
    words: 'value 8 of 9, pale, warm grey, leaning yellow',
    family: 'warm grey, leaning yellow',
    strength: 'greyed',
    temperature: 'warm',
    chroma: 9.2,
    hueDegrees: 101.3,
    spread: 3.2,
    mixed: false,
};

export const outcome = (more: Partial<Outcome> = {}): Outcome => ({
    stack: 'Slipway/735@0.35,Slipway/668@0.35',
    hex: '#d2cfbd',
    deltaE00: 0.4,
    valueError: -0.31,
    closenessWords: 'A match',
    errorOnPaper: 2.8,
    errorInHand: 2.6,
    missed: 0.4,
    sway: 2.6,
    steadinessWords: 'steady',
    doubt: 1.8,
    toothUsed: 0.35,
    toothWords: 'tooth left',
    grain: 6.2,
    evenness: 'grainy',
    ...more,
});

const dab = {
    hex: '#d2cfbd',
    colourWords: 'value 8 of 9, pale',
    strata: ['#111111', '#222222', '#333333', '#444444', '#555555', '#666666'],
    toothUsed: 0.2,
    evenness: 'even',
};

/** A pass of a spot's recipe. */
export const pass = (number: string, more: Partial<SequencePass> = {}): SequencePass => ({
    finish: null,
    care: null,
    pencil: { id: `Slipway/${number}`, line: 'Slipway', number, name: `Pencil ${number}`, binder: 'oil', assumed: [] },
    pressures: { spot: 'light' },
    words: `${number} lightly`,
    reason: null,
    dabs: { spot: dab },
    ...more,
});

/** A step of a stack, laid by itself. */
export const stackStep = (number: string): StackStep => ({
    ...dab,
    finish: null,
    care: null,
    pencil: pass(number).pencil,
    pressure: 0.35,
    pressureWord: 'light',
    pressureStrokes: 2,
    lab: [83, -2, 9],
    valueStep: 8,
});

/** A recipe of a spot. */
export const recipe = (more: Partial<Sequence> = {}, ends: Partial<Outcome> = {}): Sequence => ({
    label: 'closest',
    words: '735 lightly; 668 lightly.',
    passes: [pass('735'), pass('668')],
    outcomes: { spot: outcome(ends) },
    warnings: [],
    errorOnPaper: 2.8,
    errorInHand: 2.6,
    missed: 0.4,
    grain: 6.2,
    ...more,
});

export const entry = (id: number, name: string, more: Partial<KeptRecipe> = {}): KeptRecipe => ({
    id,
    name,
    x: 10 * id,
    y: 20,
    ring: 9,
    paper: 'white medium',
    stack: 'Slipway/735@0.35',
    label: 'closest',
    target: spot,
    recipe: recipe(),
    ...more,
});

export const plan = (...entries: KeptRecipe[]): KeptRecipes => ({
    entries,
    stamp: entries.length,
    undoWords: entries.length > 0 ? 'the recipe for “rope” was kept' : null,
});

export const photo: Photo = { id: 3, name: 'low-water.jpg', width: 1920, height: 1440, roles: ['colour'], neutral: null };

export const survey: Survey = {
    stamp: 31,
    number: 4,
    undoWords: 'rename “wall”',
    redoWords: null,
    colourPhoto: 3,
    photos: [photo],
    spots: [],
    zones: null,
    frame: {
        drawingWidthMm: 297,
        drawingHeightMm: 210,
        gridMm: 30,
        cutPlace: 0.5,
        left: 0,
        top: 0.03,
        width: 1,
        height: 0.94,
        across: [],
        down: [],
    },
};

export const zone = (number: number, name: string): Zone => ({
    number,
    name,
    importance: 'ordinary',
    surface: 'smooth',
    distance: 'middle',
    area: 0.25,
    keptWhite: 0.02,
    range: [20, 80],
    run: ['#222222', '#777777', '#cccccc'],
    shades: (['light', 'mid', 'dark'] as const).map((shade, i) => ({
        shade,
        name: shade,
        place: 0.9 - 0.4 * i,
        moved: shade === 'mid',
        reading: spot,
    })),
    missing: [],
    renamed: false,
    touches: (
        [
            ['touch', 'red', 0.2, 0.3],
            ['touch-2', 'teal', 0.7, 0.6],
        ] as const
    ).map(([shade, called, x, y]) => ({
        shade,
        name: called,
        x,
        y,
        share: 0.06,
        reading: spot,
        outlines: [[x, y, x + 0.1, y, x, y + 0.1]],
    })),
    placed: true,
    pieces: [
        { where: 'upper left', area: 0.2, x: 0.2, y: 0.25 },
        { where: 'lower right', area: 0.05, x: 0.8, y: 0.75 },
    ],
    outlines: [[0, 0, 0.5, 0, 0.5, 0.5]],
});

export const zones: Zones = {
    list: [zone(1, 'sea'), zone(4, 'rope')],
    neighbours: [
        {
            one: 1,
            other: 4,
            stepsApart: 0.3,
            push: 4,
            lighter: false,
            words: '"sea" and "rope" meet at the same value.',
            lines: [[0.1, 0.1, 0.4, 0.4]],
        },
    ],
    borders: [{ one: 1, other: 4, said: null, graded: [[0.1, 0.1, 0.2, 0.2]] }],
    keptWhites: { from: 94, share: 0.03, outlines: [] },
};

export const chartPencil = (number: string, owned = true): ChartPencil => ({
    id: `Slipway/${number}`,
    line: 'Slipway',
    number,
    name: `Pencil ${number}`,
    binder: 'oil',
    assumed: [],
    owned,
    strata: [],
    words: 'value 5 of 9',
});

export const trayPencil = (number: string, name: string, noted: Partial<Stock> = {}): TrayPencil => ({
    id: `Slipway/${number}`,
    line: 'Slipway',
    number,
    name,
    binder: 'oil',
    assumed: [],
    stock: { state: 'owned', owned: true, lengthLeft: null, discontinued: false, formerly: [], notes: '', words: 'owned', ...noted },
    reading: { ...spot, family: 'green, leaning yellow' },
    strata: [],
    lightStrata: [],
});
