import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { FinishedPart } from '../../../resources/ts/places/desk/FinishedPart';
import { HabitsPart } from '../../../resources/ts/places/desk/HabitsPart';
import { LayOutPart } from '../../../resources/ts/places/desk/LayOutPart';
import { Timers } from '../../../resources/ts/places/desk/Timers';
import { application, wrapper } from '../application';
import { study } from '../examples';
import { desk, pencilAt, step } from './deskExamples';

const app = application();

describe('before a session', () => {
    const session = (more: object = {}) => ({
        steps: 9,
        minutes: 58.6,
        tools: [
            { finish: null, care: null, layOut: '', strata: [], pencil: pencilAt('711', 'Dry reed') },
            { finish: 'solvent', care: 'open a window', layOut: 'and a brush, a jar that closes, a rag', strata: [], pencil: null },
        ],
        body: ['Solvent: read its label first.'],
        ...more,
    });

    it('says what lies ready, how long it takes, and what to mind', () => {
        const onBegin = vi.fn();
        render(<LayOutPart study={study} stamp={4} isWhole session={session()} of={3} onBegin={onBegin} />);
        expect(screen.getByRole('heading').textContent).toBe('Today: 9 passes, about 59 minutes');
        expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
            '711Dry reed',
            'solventand a brush, a jar that closes, a rag',
        ]);
        expect(screen.getAllByRole('img').map((i) => i.getAttribute('src'))).toEqual([
            '/api/studies/7/desk/picture/now?of=4',
            '/api/studies/7/desk/picture/then?of=4',
        ]);
        expect(screen.getByText(/3 sessions left, including this one/)).toBeTruthy();
        expect(screen.getByRole('note').textContent).toContain('label first');
        fireEvent.click(screen.getByRole('button', { name: 'Start session' }));
        expect(onBegin).toHaveBeenCalled();
    });

    it('counts one pass as one, and the last session as none besides', () => {
        render(
            <LayOutPart
                study={study}
                stamp={4}
                isWhole={false}
                session={session({ steps: 1, minutes: 3, body: [] })}
                of={1}
                onBegin={() => undefined}
            />,
        );
        expect(screen.getByRole('heading').textContent).toBe('Today: 1 pass, about 3 minutes');
        expect(screen.queryByText(/sessions left/)).toBeNull();
        // A picture with gaps can't be drawn.
        expect(screen.queryByRole('img')).toBeNull();
        expect(screen.queryByRole('note')).toBeNull();
    });
});

describe('how one works', () => {
    const show = (more: object = {}) => {
        const onChange = vi.fn();
        const whole = desk([step(1, 0, '711')]);
        render(<HabitsPart desk={{ ...whole, habits: { ...whole.habits, ...more } }} onChange={onChange} />);
        return onChange;
    };

    it('sends the way, the hand, drying and breaks, each as it is chosen', () => {
        const onChange = show();
        fireEvent.change(screen.getByLabelText('Work order'), { target: { value: 'darks-first' } });
        fireEvent.click(screen.getByRole('radio', { name: 'left hand' }));
        fireEvent.click(screen.getByRole('radio', { name: 'none' }));
        for (const [label, minutes] of [
            ['Drying time, thin wash (minutes)', '0'],
            ['wet wash (minutes)', '40'],
        ] as const) {
            fireEvent.change(screen.getByLabelText(label), { target: { value: minutes } });
            fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter' });
        }
        expect(onChange.mock.calls.map(([change]: unknown[]) => change)).toEqual([
            { workOrder: 'darks-first' },
            { hand: 'left' },
            { breaks: false },
            { thin: 0 },
            { wet: 40 },
        ]);
    });

    it.each(['', '241', '-1', 'ten'])('keeps a drying time of “%s” from being sent', (written) => {
        const onChange = show();
        fireEvent.change(screen.getByLabelText('wet wash (minutes)'), { target: { value: written } });
        fireEvent.keyDown(screen.getByLabelText('wet wash (minutes)'), { key: 'Enter' });
        expect(onChange).not.toHaveBeenCalled();
    });

    it('says that minutes are by one’s own pace', () => {
        show({ pace: 1.5 });
        expect(screen.getByText(/You take more time than reckoned: minutes are yours, × 1.5/)).toBeTruthy();
    });
});

describe('whether it is finished', () => {
    const show = (findings: object[] | null, whole = desk([step(1, 0, '711')])) => {
        if (findings === null) {
            app.refuses('GET', '/finished', 500, 'That went wrong.');
        } else {
            app.says('GET', '/finished', { findings });
        }
        const onClose = vi.fn();
        render(
            <MemoryRouter>
                <FinishedPart study={study} desk={whole} onZone={() => undefined} onClose={onClose} />
            </MemoryRouter>,
            { wrapper },
        );
        return onClose;
    };

    it('says so plainly, and that nothing more is to be found', async () => {
        const onClose = show([], desk([], { howFar: 'All passes done' }));
        expect(await screen.findByText(/Look at the drawing upside down/)).toBeTruthy();
        expect(screen.getByRole('heading').textContent).toBe('All passes done ');
        fireEvent.click(screen.getByRole('button', { name: 'Back to the desk' }));
        expect(onClose).toHaveBeenCalled();
    });

    it('looks through the zones meanwhile, names each finding with its step, and says what went wrong', async () => {
        show([{ what: 'edge', zone: 1, text: '“rope” and “sea” run together.', step: 'Draw the edge once more.' }]);
        expect(screen.getByText('Checking the zones…').getAttribute('aria-busy')).toBe('true');
        const item = await screen.findByRole('listitem');
        expect(within(item).getByRole('button').getAttribute('aria-label')).toBe('Show where: “rope” and “sea” run together.');
        expect(item.textContent).toContain('Draw the edge once more.');
        show(null);
        await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('That went wrong.'));
    });
});

describe('what dries', () => {
    it('is said for every wet zone, with when it is dry, and what is planned again', () => {
        render(
            <Timers
                wet={[
                    { zone: 1, name: 'rope', until: 1090 },
                    { zone: 2, name: 'sea', until: 1700 },
                ]}
                now={1000}
                pending={['mug']}
            />,
        );
        expect(screen.getAllByRole('timer').map((t) => t.textContent)).toEqual(['1:30', '11:40']);
        expect(screen.getByText(/What is to come on “mug” is planned again/)).toBeTruthy();
    });
});
