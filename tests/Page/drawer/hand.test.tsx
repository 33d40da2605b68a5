import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Hand, StripsRead } from '../../../resources/ts/api/types';
import { HandView } from '../../../resources/ts/places/drawer/hand/HandView';
import { figures, readAs, sent } from '../../../resources/ts/places/drawer/hand/useHand';
import { application, wrapper } from '../application';

const app = application();

const rung = (words: string) => ({ words, hex: '#888888', strata: ['#888888'] });
const strip = (stack: string, words: string) => ({ stack, words, ladder: ['lighter', 'as planned', 'heavier'].map(rung) });

const even: Hand = {
    paper: 'white medium',
    hand: null,
    versions: [],
    strips: [strip('745@0.20,745@0.35', '745 whisper, then 745 light'), strip('728@0.35', '728 light')],
    came: [],
};

const heavy: Hand = {
    ...even,
    hand: {
        number: 1,
        words: 'You lay a quarter more than planned.',
        strips: 1,
        pressure: 1.2,
        laydown: 1.01,
        spread: 1,
        drag: 1,
        packing: 1,
        contact: 1,
        rmsBeforeDeltaE00: 6.2,
        rmsAfterDeltaE00: 1.9,
    },
    versions: [
        { number: 1, words: 'You lay a quarter more than planned.', strips: 1, made: '2026-03-02T10:00:00+00:00', inUse: true },
        { number: 2, words: 'You lay a tenth less than planned.', strips: 6, made: '2026-03-01T10:00:00+00:00', inUse: false },
    ],
    came: [
        {
            stack: '728@0.35',
            words: '728 light',
            meantHex: '#aa8877',
            foundHex: '#886655',
            deltaE00: 6.1,
            fault: 'Off: a step too dark',
            move: 'Lift with a kneaded eraser, once: it then ends near.',
            toothUsed: 0.3,
        },
    ],
};

const box = (stack: string, hex: string, filled = true, note: string | null = null): StripsRead['boxes'][number] => ({
    stack,
    try: 'first',
    hex,
    filled,
    doubt: 1,
    note,
});

describe('my hand', () => {
    it('learns what was said of strips, and says what came of them', async () => {
        app.says('GET', '/api/hand', even);
        render(<HandView paper="white medium" study={7} zone={null} />, { wrapper });
        const ladder = await screen.findByRole('radiogroup', { name: 'Strip 2: 728 light' });
        fireEvent.click(within(ladder).getByRole('radio', { name: 'heavier' }));
        // Refused, what was said stays.
        app.refuses('POST', '/api/hand', 422, 'The drawer has no pencil 728.');
        fireEvent.click(screen.getByRole('button', { name: 'Learn from one strip' }));
        await screen.findByText('The drawer has no pencil 728.');
        app.says('POST', '/api/hand', heavy, 201);
        fireEvent.click(screen.getByRole('button', { name: 'Learn from one strip' }));
        await screen.findByText(/off by 6\.2; by your hand they are off by 1\.9/);
        expect(app.last('POST')?.path).toContain('study=7');
        expect(app.last('POST')?.body).toEqual({ strips: [{ stack: '728@0.35', rung: 2 }] });
        expect(screen.getByRole('list', { name: 'Results of the strips' }).textContent).toContain('Off: a step too dark. Lift');
        expect(screen.queryByText('The drawer has no pencil 728.')).toBeNull();
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Learn from these strips' }).disabled).toBe(true);
    });

    it('asks for the strips of the zone that is to be begun, and for others when they are chosen', async () => {
        app.says('GET', '/api/hand', even);
        render(<HandView paper="white medium" study={7} zone={{ number: 4, name: 'sea' }} />, { wrapper });
        await screen.findByRole('option', { name: 'as the plan lays “sea”, shade by shade' });
        expect(app.last('GET')?.path).toContain('of=zone&zone=4');
        fireEvent.change(screen.getByLabelText('Which strips'), { target: { value: 'sequences' } });
        await waitFor(() => expect(app.last('GET')?.path).toContain('of=sequences'));
        expect(app.last('GET')?.path).not.toContain('zone=');
    });

    it('takes a colour as a meter says it, and none that is no colour', async () => {
        app.says('GET', '/api/hand', even);
        app.says('POST', '/api/hand', heavy, 201);
        render(<HandView paper="white medium" study={7} zone={null} />, { wrapper });
        const write = (text: string) => fireEvent.change(screen.getByLabelText('Strip 2 in figures'), { target: { value: text } });
        await screen.findByRole('radiogroup', { name: 'Strip 2: 728 light' });
        write('61.5 4,');
        expect(screen.getByLabelText('Strip 2 in figures').getAttribute('aria-invalid')).toBe('true');
        expect(screen.getByRole('button', { name: 'Learn from these strips' })).toHaveProperty('disabled', true);
        write('61.5, 4 12.25');
        expect(screen.getByText('measured 61.5, 4, 12.25')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Learn from one strip' }));
        await waitFor(() => expect(app.last('POST')?.body).toEqual({ strips: [{ stack: '728@0.35', lab: [61.5, 4, 12.25] }] }));
        expect(figures('#A1b2C3')).toEqual({ hexes: ['#a1b2c3'] });
        expect([figures(''), figures('brown'), figures('1 2'), figures('1 2 3 4'), figures('#a1b2c')]).toEqual([
            null,
            null,
            null,
            null,
            null,
        ]);
    });

    it('goes to another version and back to the even hand', async () => {
        app.says('GET', '/api/hand', heavy);
        app.says('PATCH', '/api/hand', even);
        render(<HandView paper="white medium" study={null} zone={null} />, { wrapper });
        fireEvent.click(await screen.findByRole('button', { name: 'Use version 2' }));
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ number: 2 }));
        await screen.findByText(/an average, even hand/);
        expect(screen.queryByRole('list', { name: 'Versions of the hand' })).toBeNull();
    });

    it('takes every try of a photo for a strip of its own, and leaves out what was not laid', async () => {
        const read: StripsRead = { boxes: [box('1@0.35', '#112233'), box('1@0.35', '#223344'), box('2@0.35', '#ffffff', false)] };
        expect(sent(readAs(read))).toEqual([
            { stack: '1@0.35', hex: '#112233' },
            { stack: '1@0.35', hex: '#223344' },
        ]);
        app.says('GET', '/api/hand', even);
        app.says('POST', '/api/hand/made-up', {
            boxes: [box('728@0.35', '#aa5522', true, 'Glare lies on it.')],
            photo: 'data:image/jpeg;base64,AAAA',
        });
        render(<HandView paper="white medium" study={null} zone={null} />, { wrapper });
        fireEvent.click(await screen.findByRole('button', { name: 'Try with a simulated photo' }));
        await screen.findByText('Glare lies on it.');
        expect(screen.getByTitle('in the photo, #aa5522')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Skip strip 2' }));
        expect(screen.queryByTitle('in the photo, #aa5522')).toBeNull();
    });

    it('offers what the plan lays in place of single pencils, and keeps what was chosen in hand', async () => {
        app.says('GET', '/api/hand', even);
        render(<HandView paper="white medium" study={7} zone={null} />, { wrapper });
        const which = await screen.findByLabelText('Which strips');
        which.focus();
        app.says('GET', '/api/hand', { ...even, strips: [strip('741@0.55,735@0.35', '741 medium, then 735 light')] });
        fireEvent.change(which, { target: { value: 'sequences' } });
        await screen.findByText('741 medium, then 735 light');
        expect(app.last('GET')?.path).toContain('of=sequences');
        expect(document.activeElement).toBe(which);
    });

    it('says why where nothing can be asked', async () => {
        app.refuses('GET', '/api/hand', 422, 'Your drawer is empty. Add pencils first, then calibrate your hand.');
        render(<HandView paper="white medium" study={null} zone={null} />, { wrapper });
        await screen.findByText(/Your drawer is empty/);
    });
});
