import type {
    BookRecipe,
    BookRecipes,
    Desk,
    Drill,
    Log,
    LogSession,
    PencilSupply,
    Practice,
    SharedPlan,
    Skill,
} from '../../../resources/ts/api/types';
import { desk } from '../desk/deskExamples';

export const session = (id: number, more: Partial<LogSession> = {}): LogSession => ({
    id,
    study: 7,
    studyName: 'Low water',
    began: 1_795_000_000 - 86_400 * id,
    ended: 1_795_003_600 - 86_400 * id,
    minutes: 60,
    passes: 9,
    leftOut: 0,
    zones: ['sea', 'stone, left'],
    tools: [{ id: 'Slipway/741', number: '741', name: 'Slate step', hex: '#6d7a84', usedMm: 6.8 }],
    note: '',
    checks: [],
    ...more,
});

const total = { sessions: 2, passes: 18, minutes: 125, usedMm: 131 };

export const log = (sessions: LogSession[], more = 0): Log => ({
    sessions,
    more,
    total,
    weeks: [
        { of: 1_793_577_600, name: '2 Nov', ...total, minutes: 185 },
        { of: 1_794_182_400, name: '9 Nov', ...total, minutes: 0 },
    ],
    years: [{ of: 2026, name: '2026', ...total }],
    studies: [{ of: 7, name: 'Low water', ...total }],
});

export const supply = (more: Partial<PencilSupply['pencils'][number]> = {}): PencilSupply => ({
    study: 'Low water',
    pencils: [
        {
            id: 'Slipway/741',
            number: '741',
            name: 'Slate step',
            hex: '#6d7a84',
            line: 'Slipway',
            stock: 'owned',
            usedMm: 24,
            leftMm: null,
            neededMm: 0,
            short: 0,
            runsLow: false,
            words: '',
            ...more,
        },
    ],
    overruled: [],
});

const strata = (hex: string): string[] => Array.from({ length: 6 }, () => hex);

export const bookRecipe = (id: number, name: string, more: Partial<BookRecipe> = {}): BookRecipe => ({
    id,
    name,
    words: 'wet slate',
    paper: 'white medium',
    study: 'Low water',
    kept: 1_795_000_000,
    outcome: '',
    cutout: null,
    deltaE00: null,
    shades: [
        { shade: 'light', name: 'light', hex: '#a1b2c3', strata: strata('#a1b2c3') },
        { shade: 'dark', name: 'dark', hex: '#41525f', strata: strata('#41525f') },
    ],
    passes: [
        { tool: 'Slipway/741', number: '741', name: 'Slate step', pressures: { light: 'light', dark: 'firm' } },
        { tool: 'Slipway/735', number: '735', name: 'Driftwood rail', pressures: { touch: 'whisper' } },
    ],
    ...more,
});

export const book = (recipes: BookRecipe[], more = 0): BookRecipes => ({ recipes, found: recipes.length + more, more });

export const deskOfZones = (...zones: [number: number, name: string, laid: number, left: number][]): Desk => ({
    ...desk([]),
    zones: zones.map(([number, name, laid, left]) => ({
        number,
        name,
        laid,
        left,
        astray: false,
        ticks: laid,
        outlines: [],
        graded: [],
        touches: [],
    })),
});

export const drill = (skill: Skill, more: Partial<Drill> = {}): Drill => ({
    skill,
    difficulty: 2,
    seed: 11,
    again: false,
    question: 'Is this warm or cool?',
    place: null,
    shown: [{ words: 'the colour', dab: ['#806050'] }],
    choices: [
        { words: 'warm', dab: [] },
        { words: 'cool', dab: ['#5060a0'] },
    ],
    ...more,
});

export const skills = (right: number, tries: number): Practice['skills'] => [
    { skill: 'value', difficulty: 1, tries: 0, right: 0, weeks: [] },
    {
        skill: 'warm or cool',
        difficulty: 3,
        tries,
        right,
        weeks: [
            { from: 1_794_000_000, right: 0.5 },
            { from: 1_794_604_800, right: 0.75 },
        ],
    },
];

export const sharedPlan = (more: Partial<SharedPlan> = {}): SharedPlan => ({
    name: 'Low water',
    paper: 'white medium',
    errorOnPaper: 4.8,
    isPlanned: true,
    photos: [
        { id: 3, name: 'morning', isFollowed: true, width: 1920, height: 1440 },
        { id: 4, name: 'evening', isFollowed: false, width: 1920, height: 1440 },
    ],
    zones: [
        {
            number: 1,
            name: 'sea',
            words: '741 Slate step over all of it lightly.',
            errorOnPaper: 3.2,
            shades: [{ name: 'light', seen: '#a2abb2', comes: '#a3adb4' }],
        },
        { number: 2, name: 'rope', words: '', errorOnPaper: null, shades: [{ name: 'mid', seen: '#c9bda0', comes: null }] },
    ],
    steps: 5,
    said: { photo: null, note: '', at: null },
    ...more,
});
