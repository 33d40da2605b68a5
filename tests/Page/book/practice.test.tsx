import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import { PracticeView } from '../../../resources/ts/places/book/practice/PracticeView';
import { application, wrapper as Wrapper } from '../application';
import { study } from '../examples';
import { drill, skills } from './bookExamples';

const app = application();

const show = () =>
    render(
        <MemoryRouter>
            <Wrapper>
                <PracticeView study={study} />
            </Wrapper>
        </MemoryRouter>,
    );

const answer = (right: boolean) => ({
    right,
    answer: 0,
    because: 'It is warm: a grey that leans to red.',
    after: [{ words: 'a neutral grey', dab: ['#707070'] }],
    skills: skills(right ? 4 : 3, 5),
    next: { skill: 'warm or cool', advice: 'Hold it beside a neutral grey.' },
});

describe('practice', () => {
    beforeEach(() => {
        app.says('GET', '/practice', { skills: skills(3, 4), next: null, drill: drill('warm or cool') });
        app.says('POST', '/practice', answer(true));
    });

    it('asks, is answered by a figure, tells at once why, and goes on by Enter', async () => {
        show();
        await screen.findByRole('heading', { name: 'Is this warm or cool?' });
        expect(screen.queryByRole('status')).toBeNull();
        fireEvent.keyDown(window, { key: '7' });
        // The tab that opened it has the focus still.
        const tab = document.body.appendChild(Object.assign(document.createElement('input'), { type: 'radio' }));
        fireEvent.keyDown(tab, { key: '1' });
        tab.remove();
        expect((await screen.findByRole('status')).textContent).toBe('Yes. It is warm: a grey that leans to red.');
        expect(app.last('POST')?.body).toEqual({ skill: 'warm or cool', difficulty: 2, seed: 11, choice: 0 });
        // Answered, nothing more can be chosen of it.
        fireEvent.keyDown(window, { key: '2' });
        expect(app.asked.filter((a) => a.method === 'POST')).toHaveLength(1);
        expect(screen.getByRole('row', { name: /^warm or cool medium 4 of 5/ })).toBeTruthy();
        const sitting = within(screen.getByRole('list', { name: 'This sitting' }));
        expect(sitting.getAllByRole('listitem').map((l) => l.getAttribute('aria-label'))).toEqual(['1: right']);
        expect(screen.getByText('1 of 1 right.')).toBeTruthy();
        app.says('GET', '/practice', {
            skills: skills(4, 5),
            next: null,
            drill: drill('warm or cool', { question: 'And this?', again: true }),
        });
        fireEvent.keyDown(window, { key: 'Enter' });
        await screen.findByRole('heading', { name: 'And this?' });
        expect(screen.getByRole('heading', { name: 'Once more: warm or cool' })).toBeTruthy();
    });

    it('marks the right answer and the wrong one, and what to look at next', async () => {
        app.says('POST', '/practice', answer(false));
        show();
        fireEvent.click(await screen.findByRole('button', { name: /cool$/ }));
        expect((await screen.findByRole('status')).textContent).toContain('No.');
        const answers = within(screen.getByRole('list', { name: 'Answers' })).getAllByRole('button');
        expect(answers.map((b) => b.dataset['is'])).toEqual(['right', 'wrong']);
        expect(screen.getByRole('note').textContent).toBe('Next, look at “warm or cool”. Hold it beside a neutral grey.');
        expect(screen.getByRole('img', { name: 'warm or cool, right each week: 50 %, 75 %' })).toBeTruthy();
    });

    it('gives an answer back that did not arrive', async () => {
        app.refuses('POST', '/practice', 503, 'The database does not answer.');
        show();
        fireEvent.click(await screen.findByRole('button', { name: /warm$/ }));
        expect((await screen.findByRole('alert')).textContent).toBe('The database does not answer.');
        app.says('POST', '/practice', answer(true));
        fireEvent.click(screen.getByRole('button', { name: /warm$/ }));
        expect((await screen.findByRole('status')).textContent).toContain('Yes.');
    });

    it('practises one skill alone, and says where there is nothing to ask', async () => {
        app.says('GET', 'skill=value', { skills: skills(3, 4), next: null, drill: null });
        show();
        const choice = await screen.findByRole('combobox', { name: 'Skill to practise' });
        await waitFor(() => expect(within(choice).getAllByRole('option')).toHaveLength(3));
        // A figure that is typed while something is chosen answers nothing.
        fireEvent.keyDown(choice, { key: '1' });
        fireEvent.change(choice, { target: { value: 'value' } });
        await screen.findByText(/^No question of this kind/);
        expect(app.last('POST')).toBeUndefined();
    });

    it('shows the place in the photo where it is asked there', async () => {
        app.says('GET', '/practice', {
            skills: skills(3, 4),
            next: null,
            drill: drill('value in its surroundings', { place: [0.25, 0.5], shown: [] }),
        });
        const { container } = show();
        await screen.findByRole('heading', { name: 'Is this warm or cool?' });
        expect(container.querySelector('i')?.style.left).toBe('25%');
        expect(container.querySelector('img')?.getAttribute('src')).toBe(`/api/studies/${study.id}/photo`);
    });
});
