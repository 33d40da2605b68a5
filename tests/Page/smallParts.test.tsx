import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Grain, PencilPortrait } from '../../resources/ts/api/types';
import { StandInPart } from '../../resources/ts/places/drawer/StandInPart';
import { OtherPhoto } from '../../resources/ts/places/photo/photos/OtherPhoto';
import { PLAIN } from '../../resources/ts/stage/look/lookState';
import { Dab } from '../../resources/ts/dabs/Dab';
import { EditableName } from '../../resources/ts/ui/EditableName';
import { GrainProvider } from '../../resources/ts/dabs/grain';
import { Reading } from '../../resources/ts/ui/Reading';
import { application, wrapper } from './application';
import { pass, photo, recipe, spot, study } from './examples';

const app = application();

describe('a reading that can be cancelled', () => {
    it('gives the focus back to what began it, and leaves it alone where somebody has gone elsewhere', async () => {
        const page = (isReading: boolean) => (
            <>
                <button disabled={isReading}>Begin</button>
                <button>Elsewhere</button>
                {isReading && <Reading words="Reading…" onCancel={() => undefined} />}
            </>
        );
        const { rerender } = render(page(false));
        screen.getByRole('button', { name: 'Begin' }).focus();
        rerender(page(true));
        screen.getByRole('button', { name: 'Cancel' }).focus();
        rerender(page(false));
        await waitFor(() => expect(document.activeElement?.textContent).toBe('Begin'));
        rerender(page(true));
        screen.getByRole('button', { name: 'Elsewhere' }).focus();
        rerender(page(false));
        await new Promise((done) => setTimeout(done, 10));
        expect(document.activeElement?.textContent).toBe('Elsewhere');
    });
});

describe('a name that is written over', () => {
    const write = (value: string) => fireEvent.change(screen.getByLabelText('Name'), { target: { value } });
    const key = (name: string) => fireEvent.keyDown(screen.getByLabelText('Name'), { key: name });
    const leave = () => fireEvent.blur(screen.getByLabelText('Name'));

    it('is kept once by Enter and leaving, put back by Escape, and never empty', () => {
        const onChange = vi.fn();
        const { rerender } = render(<EditableName label="Name" value="rope" onChange={onChange} />);
        write(' old rope ');
        key('Enter');
        leave();
        expect(onChange.mock.calls).toEqual([['old rope']]);
        rerender(<EditableName label="Name" value="old rope" onChange={onChange} />);
        expect(screen.getByLabelText('Name')).toHaveProperty('value', 'old rope');
        write('hull');
        key('Escape');
        leave();
        write('   ');
        leave();
        expect(screen.getByLabelText('Name')).toHaveProperty('value', 'old rope');
        expect(onChange).toHaveBeenCalledTimes(1);
        // The same name as before the last change is a change again.
        write('rope');
        leave();
        expect(onChange).toHaveBeenLastCalledWith('rope');
    });

    it('shows what came instead when another name arrives meanwhile', () => {
        const { rerender } = render(<EditableName label="Name" value="rope" onChange={vi.fn()} />);
        write('hull');
        rerender(<EditableName label="Name" value="sea" onChange={vi.fn()} />);
        expect(screen.getByLabelText('Name')).toHaveProperty('value', 'sea');
    });
});

describe('a dab', () => {
    it('shows on every place of the grain the colour of its stratum, and again where the grain begins again', async () => {
        const put = vi.fn<(image: ImageData) => void>();
        const context = {
            createImageData: (width: number, height: number) => ({ width, height, data: new Uint8ClampedArray(4 * width * height) }),
            putImageData: put,
        };
        const getContext = vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(context as never);
        // Strata by row of a grain of three by three.
        const grain: Partial<Grain> = { side: 3, tile: '012' + '120' + '201' };
        app.says('GET', '/api/grain', grain);
        const strata = ['#ff0000', '#00ff00', '#0000fe'];
        render(
            <GrainProvider>
                <Dab strata={strata} width={2} height={2} label="after pass 1" />
            </GrainProvider>,
            { wrapper },
        );
        expect(screen.getByRole('img', { name: 'after pass 1' })).toBeTruthy();
        await waitFor(() => expect(put).toHaveBeenCalled());
        const { width, data } = put.mock.lastCall?.[0] as unknown as { width: number; data: Uint8ClampedArray };
        const at = (x: number, y: number) =>
            strata.indexOf(`#${[0, 1, 2].map((i) => (data[4 * (y * width + x) + i] ?? 0).toString(16).padStart(2, '0')).join('')}`);
        expect(width).toBe(4);
        expect([0, 1, 2, 3].map((y) => [0, 1, 2, 3].map((x) => at(x, y)))).toEqual([
            [0, 1, 2, 0],
            [1, 2, 0, 1],
            [2, 0, 1, 2],
            [0, 1, 2, 0],
        ]);
        expect(data[3]).toBe(255);
        getContext.mockRestore();
    });

    it('lies elsewhere in the grain than its neighbours of other colours, and where it lay before when it is drawn again', async () => {
        const put = vi.fn<(image: ImageData) => void>();
        const context = {
            createImageData: (width: number, height: number) => ({ width, height, data: new Uint8ClampedArray(4 * width * height) }),
            putImageData: put,
        };
        const getContext = vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(context as never);
        // Every place of the grain differs from its neighbours' in its own way.
        const tile = Array.from({ length: 400 }, (_, at) => String((at * 7 + Math.floor(at / 20) * 3) % 5)).join('');
        app.says('GET', '/api/grain', { side: 20, tile } satisfies Partial<Grain>);
        const five = (first: string) => [first, '#202020', '#404040', '#606060', '#808080'];
        render(
            <GrainProvider>
                {['#000000', '#000100', '#000007', '#000000'].map((first, i) => (
                    <Dab key={i} strata={five(first)} width={4} height={4} label={`dab ${i}`} />
                ))}
            </GrainProvider>,
            { wrapper },
        );
        await waitFor(() => expect(put).toHaveBeenCalledTimes(4));
        // By lightness alone, so that the first colour's own difference does not count.
        const drawn = put.mock.calls.map(([image]) => [...image.data].filter((_, i) => i % 4 === 0).join());
        expect(drawn[0]).toBe(drawn[3]);
        expect(new Set(drawn).size).toBeGreaterThan(1);
        getContext.mockRestore();
    });
});

describe('mixes in place of a pencil', () => {
    const pencil = { id: 'Foghorn/F30', swatches: { heavy: [], light: [], overBlack: [] } } as unknown as PencilPortrait;

    it('are worked out when asked for, one for each swatch with its order and pressures', async () => {
        app.says('GET', '/api/drawer/mix', {
            nearest: {},
            heavy: recipe({}, { deltaE00: 1.26 }),
            light: recipe({ passes: [pass('668')] }, { closenessWords: 'Near' }),
        });
        render(<StandInPart pencil={pencil} paper="black" />, { wrapper });
        expect(app.asked).toEqual([]);
        fireEvent.click(screen.getByRole('button', { name: 'Mix it from pencils you own' }));
        expect(screen.getByText('Finding mixes…')).toBeTruthy();
        expect((await screen.findByText(/^: ΔE00 1.3, A match/)).textContent).toBe('heavy: ΔE00 1.3, A match');
        expect(screen.getByText(/, Near$/).textContent).toBe('light: ΔE00 0.4, Near');
        expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual(['735 light', '668 light', '668 light']);
        expect(app.last('GET')?.path).toBe('/api/drawer/mix?id=Foghorn%2FF30&paper=black');
    });

    it('say why there are none', async () => {
        app.refuses('GET', '/api/drawer/mix', 422, 'No pencil of the drawer is owned.');
        render(<StandInPart pencil={pencil} paper="black" />, { wrapper });
        fireEvent.click(screen.getByRole('button', { name: 'Mix it from pencils you own' }));
        expect(await screen.findByText('No pencil of the drawer is owned.')).toBeTruthy();
    });
});

describe('a second photo', () => {
    const named = {
        number: 7,
        name: 'rope',
        families: [],
        nearest: null,
        places: [{ photo: 3, x: 0.25, y: 0.5, ring: 9, placed: true, reading: spot }],
    };
    const show = (chosen: number | null, onPlace = vi.fn()) => {
        render(
            <OtherPhoto
                study={study}
                photo={{ ...photo, id: 12, width: 100, height: 50 }}
                look={PLAIN}
                spots={[named]}
                chosenSpot={chosen}
                frame={undefined}
                stamp={1}
                onPhoto={vi.fn()}
                onPlace={onPlace}
            />,
            { wrapper },
        );
        return onPlace;
    };

    it('takes the chosen spot where its own ring is, in shares of its own size', () => {
        show(null);
        expect(screen.queryByRole('button', { name: /^Here is/ })).toBeNull();
        cleanup();
        const onPlace = show(7);
        const stage = screen.getByRole('application');
        fireEvent.keyDown(stage, { key: 'ArrowRight' });
        fireEvent.keyDown(stage, { key: '+' });
        fireEvent.click(screen.getByRole('button', { name: 'Here is “rope” on this photo' }));
        const [number, place] = onPlace.mock.lastCall as [number, { x: number; y: number; ring: number }];
        expect(number).toBe(7);
        expect(place.x).toBeGreaterThan(0.5);
        expect(place.x).toBeLessThan(0.6);
        expect(place).toMatchObject({ y: 0.5 });
        expect(place.ring).toBeGreaterThan(9);
    });
});
