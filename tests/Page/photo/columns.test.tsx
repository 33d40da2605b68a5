import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { NamedSpot, Photo, Values } from '../../../resources/ts/api/types';
import { FrameBar } from '../../../resources/ts/stage/look/FrameBar';
import { LookBar } from '../../../resources/ts/stage/look/LookBar';
import { PLAIN } from '../../../resources/ts/stage/look/lookState';
import { ValueRuler } from '../../../resources/ts/stage/look/ValueRuler';
import { Differences } from '../../../resources/ts/places/photo/photos/Differences';
import { PhotosColumn } from '../../../resources/ts/places/photo/photos/PhotosColumn';
import { SpotsColumn } from '../../../resources/ts/places/photo/spots/SpotsColumn';
import { CellNumbers, SpotNumbers } from '../../../resources/ts/stage/Labels';
import { GridLines } from '../../../resources/ts/stage/Overlay';

import { photo, spot, study, survey } from '../examples';

afterEach(cleanup);

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the value ruler', () => {
    const values: Values = {
        steps: 5,
        fromLightest: false,
        shares: [0.1, 0.2, 0.4, 0.2, 0.002],
        greys: ['#111111', '#333333', '#777777', '#aaaaaa', '#eeeeee'],
    };

    it('stands light above dark whichever end is 1, says each share, and marks the spot in words too', () => {
        render(<ValueRuler values={values} only={null} here={3} onOnly={vi.fn()} />);
        const names = screen.getAllByRole('button').map((b) => b.getAttribute('aria-label'));
        expect(names[0]).toBe('Value 5, <1 % of the photo: show it alone');
        expect(names[2]).toBe('Value 3, 40 % of the photo, the spot: show it alone');
        cleanup();
        render(
            <ValueRuler
                values={{ ...values, fromLightest: true, greys: [...values.greys].reverse() }}
                only={2}
                here={null}
                onOnly={vi.fn()}
            />,
        );
        const turned = screen.getAllByRole('button');
        expect(turned[0]?.getAttribute('aria-label')).toContain('Value 1,');
        expect(turned[1]?.getAttribute('aria-pressed')).toBe('true');
    });

    it('asks for one value alone', () => {
        const onOnly = vi.fn();
        render(<ValueRuler values={values} only={null} here={null} onOnly={onOnly} />);
        press(/^Value 4,/);
        expect(onOnly).toHaveBeenCalledWith(4);
    });
});

describe('the ways of looking', () => {
    it('name their keys, show what is on, and offer a balance only where there is one', () => {
        const dispatch = vi.fn();
        render(<LookBar look={{ ...PLAIN, tone: 'steps', squint: 2 }} dispatch={dispatch} canBalance={false} />);
        expect(screen.getByRole('button', { name: /^Value steps, 9/ }).getAttribute('aria-pressed')).toBe('true');
        expect(screen.getByRole('button', { name: /^Squint half/ })).toBeTruthy();
        expect(screen.queryByRole('button', { name: /^Balanced/ })).toBeNull();
        press('Mirror (key M)');
        expect(dispatch).toHaveBeenCalledWith({ type: 'toggled', what: 'mirror' });
    });

    it('take millimetres as they are typed, with a comma too, and leave nonsense as it was', () => {
        const onChange = vi.fn();
        render(<FrameBar frame={survey.frame} onChange={onChange} />);
        const square = screen.getByLabelText<HTMLInputElement>('Side of a square of the grid in millimetres');
        fireEvent.change(square, { target: { value: '12,5' } });
        fireEvent.blur(square);
        expect(onChange).toHaveBeenCalledWith({ gridMm: 12.5 });
        fireEvent.change(square, { target: { value: 'wide' } });
        fireEvent.keyDown(square, { key: 'Enter' });
        expect(square.value).toBe('30');
        expect(onChange).toHaveBeenCalledTimes(1);
    });
});

describe('named spots', () => {
    const named: NamedSpot = {
        number: 7,
        name: 'rope',
        families: ['yellow', 'warm grey'],
        nearest: null,
        places: [{ photo: 3, x: 0.25, y: 0.5, ring: 9, placed: true, reading: spot }],
    };
    const show = (spots: NamedSpot[] | undefined, chosen: number | null = null) => {
        const onChange = vi.fn();
        const onChosen = vi.fn();
        render(
            <SpotsColumn
                study={study}
                photo={3}
                spots={spots}
                reading={spot}
                ring={{ x: 480, y: 720, ring: 20 }}
                share={{ x: 0.25, y: 0.5 }}
                chosen={chosen}
                onChosen={onChosen}
                onChange={onChange}
            />,
        );
        return { onChange, onChosen };
    };

    it('are kept where the ring is, under their colour where no name is given', () => {
        const { onChange } = show([]);
        expect(screen.getByText(/^No spots yet/)).toBeTruthy();
        fireEvent.submit(screen.getByLabelText('Name of the new spot'));
        expect(onChange).toHaveBeenCalledWith({ kind: 'addSpot', name: 'warm grey, leaning yellow', photo: 3, x: 0.25, y: 0.5, ring: 20 });
    });

    it('are chosen, renamed, moved and removed', () => {
        const { onChosen } = show([named]);
        press(/^Spot 1, rope: value 8/);
        expect(onChosen).toHaveBeenCalledWith(named);
        cleanup();
        const { onChange } = show([named], 7);
        const field = screen.getByLabelText('Name of spot 1');
        fireEvent.change(field, { target: { value: ' cord ' } });
        fireEvent.keyDown(field, { key: 'Enter' });
        press('Move to the ring');
        press('Remove');
        expect(onChange.mock.calls.map(([c]) => c as unknown)).toEqual([
            { kind: 'renameSpot', spot: 7, name: 'cord' },
            { kind: 'placeSpot', spot: 7, photo: 3, x: 0.25, y: 0.5, ring: 20 },
            { kind: 'removeSpot', spot: 7 },
        ]);
        expect(screen.getByText(/Next to yellow and to warm grey/)).toBeTruthy();
    });

    it('have their numbers where they are, however the photo is turned', () => {
        render(<SpotNumbers spots={[named]} photo={3} flip={{ x: true, y: false }} />);
        expect(screen.getByText('1').style.left).toBe('75%');
        cleanup();
        render(<SpotNumbers spots={[named]} photo={99} flip={{ x: false, y: false }} />);
        expect(screen.queryByText('1')).toBeNull();
    });
});

describe('the grid', () => {
    const frame = { ...survey.frame, across: [0.25, 0.5, 0.75], down: [0.5] };

    it('has a line for every square and a number for every column and row, from the upper left of what is shown', () => {
        const { container } = render(
            <svg>
                <GridLines frame={frame} extent={photo} />
            </svg>,
        );
        // Each drawn twice, black on white.
        expect(container.querySelectorAll('line')).toHaveLength(8);
        cleanup();
        render(<CellNumbers frame={frame} flip={{ x: false, y: false }} />);
        expect(['1', '2', '3', '4'].map((n) => parseFloat(screen.getAllByText(n)[0]?.style.left ?? ''))).toEqual([0, 25, 50, 75]);
        cleanup();
        render(<CellNumbers frame={frame} flip={{ x: true, y: false }} />);
        expect(screen.getAllByText('1')[0]?.style.left).toBe('0%');
    });
});

describe('photos side by side', () => {
    const evening: Photo = { ...photo, id: 9, name: 'evening', roles: ['light'], neutral: { ...spot, family: 'white' } };
    const calls = {
        onOther: vi.fn(),
        onAdd: vi.fn(),
        onPhoto: vi.fn(),
        onRemove: vi.fn(),
        onFollow: vi.fn(),
        onNeutral: vi.fn(),
        onPlain: vi.fn(),
    };
    beforeEach(() => Object.values(calls).forEach((call) => call.mockClear()));

    it('say which one the colours follow, and let every other one be followed or removed', () => {
        render(<PhotosColumn photos={[photo, evening]} colourPhoto={3} other={evening} view={null} adding={false} {...calls} />);
        expect(screen.getByText('Used for colours.')).toBeTruthy();
        press('Use for colours');
        press('Remove the photo evening');
        press('Use the ring as white or grey');
        press('Original colours');
        expect(calls.onFollow).toHaveBeenCalledWith(9);
        expect(calls.onRemove).toHaveBeenCalledWith(9);
        expect(calls.onNeutral).toHaveBeenCalledWith(3);
        expect(calls.onPlain).toHaveBeenCalledWith(9);
        fireEvent.click(screen.getAllByRole('checkbox', { name: 'pose' })[1] as Element);
        expect(calls.onPhoto).toHaveBeenCalledWith({ id: 9, roles: ['light', 'pose'] });
    });

    it('are told apart in words, and say so when they can not be', () => {
        const row = { name: 'rope', words: 'warmer by 26', steps: 0, warmth: 26, deltaE00: 16, oneHex: '#e4b482', otherHex: '#d4d0be' };
        render(
            <Differences
                comparison={{ one: 9, other: 3, sentence: '“evening” is warmer by 18.', bands: [], spots: [row], zones: [] }}
                fault={null}
            />,
        );
        expect(screen.getByTestId('comparison').textContent).toBe('“evening” is warmer by 18.');
        expect(screen.getByRole('row').textContent).toContain('warmer by 26');
        cleanup();
        render(<Differences comparison={undefined} fault={new Error('gone')} />);
        expect(screen.getByTestId('comparison').textContent).toContain('Something went wrong');
    });
});
