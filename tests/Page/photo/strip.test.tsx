import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import type { Sequence } from '../../../resources/ts/api/types';
import { KeptStrip } from '../../../resources/ts/places/photo/KeptStrip';
import type { useKeptRecipeChanges } from '../../../resources/ts/places/photo/queries';
import { ReadingBlock } from '../../../resources/ts/places/photo/ReadingBlock';
import { RecipeColumn } from '../../../resources/ts/places/photo/RecipeColumn';
import { RecipeStrip } from '../../../resources/ts/places/photo/RecipeStrip';
import { entry, pass, plan, recipe, spot, study } from '../examples';

// jsdom draws nothing; what a dab shows is tested in the browser.
beforeAll(() => {
    HTMLCanvasElement.prototype.getContext = () => null;
});
afterEach(cleanup);

const text = (element: HTMLElement): string => element.textContent.replace(/\s+/g, ' ');

describe('a recipe', () => {
    const show = (r: Sequence, waiting = false, onChoose = vi.fn()) => {
        render(<RecipeColumn place={2} recipe={r} rows={5} paperHex="#f6f4ee" waiting={waiting} onChoose={onChoose} />);
        return onChoose;
    };

    it('shows each pass with number, name, binder and pressure, from the paper up', () => {
        show(recipe({ passes: [pass('735'), pass('F90', { pressures: { spot: 'firm' } })] }));
        const layers = within(screen.getByRole('list', { name: 'passes from the paper up' })).getAllByRole('listitem');
        expect(layers.map(text)).toEqual(['735oilPencil 735light', 'F90oilPencil F90firm']);
        expect(layers[1]?.querySelectorAll('line')).toHaveLength(4);
        expect(screen.getByRole('img', { name: 'after pass 2: value 8 of 9, pale' })).toBeDefined();
    });

    it('says it in words first and figures second', () => {
        show(recipe());
        const words = text(screen.getByTestId('recipe-2'));
        expect(words).toMatch(/closestLikely error 3\. A matchsteady · grainytooth left.*missed 0\.4 \(ΔE00\).*value −0\.3 · hand ±2\.6/);
    });

    it('says so where the paper is left bare, and has nothing to choose there', () => {
        show(recipe({ passes: [] }, { stack: '' }));
        expect(text(screen.getByTestId('recipe-2'))).toContain('Leave the paper bare');
        expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
    });

    it('does not dress up a value error that nobody sees', () => {
        show(recipe({}, { valueError: -0.02 }));
        expect(text(screen.getByTestId('recipe-2'))).toContain('value 0 ·');
    });

    it('shows a finish as a step of its own', () => {
        show(
            recipe({
                passes: [pass('735'), pass('', { finish: 'solvent', pencil: null })],
            }),
        );
        expect(text(screen.getByTestId('recipe-2'))).toContain('solvent');
    });

    it('marks what is only assumed of a pencil', () => {
        const guessed = pass('1');
        if (guessed.pencil !== null) {
            guessed.pencil = { ...guessed.pencil, binder: null, assumed: ['binder', 'laydown'] };
        }
        show(recipe({ passes: [guessed] }));
        expect(text(screen.getByTestId('recipe-2'))).toContain('* assumed: binder, laydown');
    });

    it('keeps a warning with its reason and its remedy beside it', () => {
        show(
            recipe({
                warnings: [
                    {
                        code: 'bloom',
                        pass: 1,
                        shades: ['spot'],
                        where: 'spot',
                        text: 'Pass 1 lays wax heavily.',
                        remedy: 'Wipe it softly.',
                    },
                ],
            }),
        );
        expect(screen.getByText('bloom')).toBeDefined();
        expect(text(screen.getByTestId('recipe-2'))).toContain('Pass 1 lays wax heavily. Wipe it softly.');
    });

    it('is chosen by its button, but not while a newer spot is being worked out', () => {
        const choose = show(recipe());
        fireEvent.click(screen.getByRole('button', { name: 'Choose recipe 2, closest' }));
        expect(choose).toHaveBeenCalledOnce();
        cleanup();
        const late = show(recipe(), true);
        fireEvent.click(screen.getByRole('button', { name: 'Choose recipe 2, closest' }));
        expect(late).not.toHaveBeenCalled();
    });
});

describe('the strip of recipes', () => {
    const answer = {
        target: spot,
        nearestSingle: { pencil: pass('735').pencil ?? never(), deltaE00: 3.71, closenessWords: 'Near' },
        recipes: [recipe()],
    };

    const status = (props: Partial<Parameters<typeof RecipeStrip>[0]>): string => {
        render(
            <RecipeStrip
                study={study}
                answer={undefined}
                fault={null}
                waiting={false}
                empty={false}
                onFault={vi.fn()}
                onChoose={vi.fn()}
                {...props}
            />,
        );
        return screen.getByRole('status').textContent;
    };

    it.each([
        ['the first question', {}, /Finding recipes/],
        ['a newer question', { answer, waiting: true }, /Finding recipes/],
        ['an answer', { answer }, /Nearest single pencil: 735 Pencil 735\. Near \(ΔE00 3\.7\)/],
        ['a fault', { fault: new Error('x') }, /Reload/],
    ])('says where it is: %s', (_, props, expected) => {
        expect(status(props)).toMatch(expected);
    });

    it('tells those who can not see the patch what colour it is', () => {
        status({ answer });
        expect(screen.getByRole('img', { name: /^from the photo: value 8 of 9/ })).toBeDefined();
        expect(screen.getByLabelText('Recipes').getAttribute('aria-busy')).toBe('false');
    });
});

describe('the reading', () => {
    const show = (props: Partial<Parameters<typeof ReadingBlock>[0]> = {}) => {
        const onName = vi.fn();
        render(
            <ReadingBlock reading={spot} fault={null} spot={{ x: 1, y: 1, ring: 9 }} name="" onName={onName} onRing={vi.fn()} {...props} />,
        );
        return onName;
    };

    it('gives words, then figures with their names', () => {
        show();
        expect(text(screen.getByTestId('reading'))).toBe('Value 8 of 9, pale, warm grey, leaning yellowWarm · L* 83.1 · C* 9.2 · h 101°');
    });

    it('warns when the ring holds light and dark together', () => {
        show({ reading: { ...spot, mixed: true } });
        expect(text(screen.getByTestId('reading'))).toContain('choose a smaller one');
    });

    it('says that it is reading, or what went wrong', () => {
        show({ reading: undefined });
        expect(text(screen.getByTestId('reading'))).toBe('Measuring the spot…');
        cleanup();
        show({ reading: undefined, fault: new Error('x') });
        expect(text(screen.getByTestId('reading'))).toContain('Reload');
    });

    it('offers the family as the name until another is written', () => {
        const named = show();
        const field = screen.getByRole('textbox', { name: 'Name' });
        expect(field.getAttribute('placeholder')).toBe('warm grey, leaning yellow');
        fireEvent.change(field, { target: { value: 'rope' } });
        expect(named).toHaveBeenCalledWith('rope');
    });
});

describe('the plan', () => {
    const changesOf = () => {
        const mutation = () => ({ mutate: vi.fn(), isPending: false });
        return { add: mutation(), rename: mutation(), remove: mutation(), undo: mutation() };
    };
    const show = (shown = plan(entry(1, 'rope'), entry(2, 'mug'))) => {
        const changes = changesOf();
        const onShow = vi.fn();
        render(
            <KeptStrip
                study={study}
                plan={shown}
                changes={changes as unknown as ReturnType<typeof useKeptRecipeChanges>}
                onShow={onShow}
            />,
        );
        return { changes, onShow };
    };

    it('says what to do while it is empty, and that nothing can be undone', () => {
        show(plan());
        expect(screen.getByText(/No recipe chosen yet/)).toBeDefined();
        expect(screen.getByRole('button', { name: /^Undo/ }).hasAttribute('disabled')).toBe(true);
    });

    it('lists names with the numbers to pick up, and goes to the spot', () => {
        const { onShow } = show();
        expect(text(screen.getByTestId('kept-recipes'))).toContain('Kept: 2 recipes');
        expect(screen.getAllByText('735 · 668')).toHaveLength(2);
        fireEvent.click(screen.getByRole('button', { name: 'Show mug on the photo' }));
        expect(onShow).toHaveBeenCalledWith(expect.objectContaining({ id: 2 }));
    });

    it('renames with Enter, keeps the old name with Escape or when nothing is left of it', () => {
        const { changes } = show();
        const rename = (key: string, value: string) => {
            fireEvent.click(screen.getByRole('button', { name: 'Show rope on the photo' }));
            fireEvent.click(screen.getByRole('button', { name: 'Rename rope' }));
            const field = screen.getByRole('textbox', { name: 'New name of rope' });
            fireEvent.change(field, { target: { value } });
            fireEvent.keyDown(field, { key });
        };
        rename('Escape', 'other');
        rename('Enter', '   ');
        expect(changes.rename.mutate).not.toHaveBeenCalled();
        rename('Enter', ' rope, lit side ');
        expect(changes.rename.mutate).toHaveBeenCalledExactlyOnceWith({ id: 1, name: 'rope, lit side' });
    });

    it('removes and undoes', () => {
        const { changes } = show();
        fireEvent.click(screen.getByRole('button', { name: 'Show mug on the photo' }));
        fireEvent.click(screen.getByRole('button', { name: 'Remove mug' }));
        expect(changes.remove.mutate).toHaveBeenCalledWith(2);
        fireEvent.click(screen.getByRole('button', { name: /^Undo/ }));
        expect(changes.undo.mutate).toHaveBeenCalledOnce();
    });

    it('keeps an entry whose pencil is gone, and says so', () => {
        show(plan(entry(1, 'rope', { recipe: null })));
        expect(screen.getByText('a pencil is missing')).toBeDefined();
    });

    it('prints the card in the size chosen', () => {
        show();
        fireEvent.change(screen.getByRole('combobox'), { target: { value: 'a5' } });
        expect(screen.getByRole('link', { name: 'Print the card' }).getAttribute('href')).toBe('/api/studies/7/kept-recipes/card?size=a5');
    });
});

function never(): never {
    throw new Error('the example has a pencil');
}
