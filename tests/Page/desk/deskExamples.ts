import type { Edit } from '../../../resources/ts/api/lane';
import type { Desk, DeskStep, DrawerPencil, NewTick } from '../../../resources/ts/api/types';

export const pencilAt = (number: string, name = `pencil ${number}`): DrawerPencil => ({
    id: `Line/${number}`,
    line: 'Line',
    number,
    name,
    binder: 'oil',
    assumed: [],
});

const dab = (hex: string) => ({ hex, strata: [], evenness: '' });

/** A pass of a zone; zone 1 is the rope, 2 the sea. */
export const step = (zone: number, position: number, number: string, more: Partial<DeskStep> = {}): DeskStep => ({
    zone,
    zoneName: zone === 1 ? 'rope' : 'sea',
    position,
    pass: position + 1,
    coats: 1,
    of: 3,
    finish: null,
    care: null,
    pencil: pencilAt(number),
    pressures: { mid: 'light', dark: 'medium', touch: null },
    how: 'Over all of it lightly, a little firmer in the darks',
    reason: null,
    point: 'a sharp point',
    strokes: 'along the form',
    pieces: null,
    runsOut: null,
    shades: [
        { shade: 'mid', name: 'mid', seen: '#888888', pressure: 'light', before: dab('#ffffff'), after: dab('#cccccc') },
        { shade: 'dark', name: 'dark', seen: '#444444', pressure: 'medium', before: dab('#ffffff'), after: dab('#aaaaaa') },
        { shade: 'touch', name: 'rust', seen: '#884422', pressure: null, before: dab('#ffffff'), after: dab('#ffffff') },
    ],
    warnings: [],
    body: [],
    minutes: 6,
    dries: 0,
    turn: 0,
    ...more,
});

export const solvent = (zone: number, position: number, dries = 5): DeskStep =>
    step(zone, position, '', { finish: 'solvent', pencil: null, dries, body: ['Solvent: read its label first.'] });

const zone = (number: number, name: string) => ({
    number,
    name,
    laid: 0,
    left: 2,
    astray: false,
    ticks: 0,
    outlines: [[0, 0, 1, 0, 1, 1]],
    graded: [],
    touches: [{ shade: 'touch', outlines: [[0.2, 0.2, 0.4, 0.2, 0.4, 0.4]] }],
});

export const desk = (steps: DeskStep[], more: Partial<Desk> = {}): Desk => ({
    stamp: 7,
    unplanned: null,
    finishes: ['solvent', 'tissue'],
    habits: { workOrder: 'zone-by-zone', hand: 'right', session: 60, thin: 5, wet: 15, pace: 1, breaks: true },
    workOrders: [
        { value: 'zone-by-zone', words: 'zone by zone' },
        { value: 'darks-first', words: 'darks first' },
    ],
    cannot: null,
    sessionEnds: false,
    steps,
    sessions:
        steps.length === 0
            ? []
            : [
                  {
                      steps: steps.length,
                      minutes: 12,
                      tools: [{ finish: null, care: null, layOut: '', strata: [], pencil: pencilAt('711', 'Dry reed') }],
                      body: ['Point pencils away from the thumb.'],
                  },
              ],
    zones: [zone(1, 'rope'), zone(2, 'sea')],
    ticks: [],
    wet: [],
    howFar: 'A quarter done',
    minutesLeft: 12,
    pencils: [pencilAt('711', 'Dry reed'), pencilAt('741', 'Slate step')],
    ...more,
});

const edit = (at: number, path: string, json?: object): Edit => ({
    key: `key-${at}`,
    lane: 'desk-1',
    at,
    words: 'tick a pass',
    method: 'POST',
    path,
    json,
    history: 'desk',
});

/** What waits on the device. */
export const waitingTick = (at: number, tick: Partial<NewTick>): Edit =>
    edit(at, '/api/studies/1/desk/ticks', {
        kind: 'done',
        zone: 1,
        position: 0,
        tool: 'Line/711',
        pressures: { mid: 'light' },
        at: 1000,
        ...tick,
    });

export const waitingUndo = (at: number): Edit => edit(at, '/api/studies/1/desk/undo');
