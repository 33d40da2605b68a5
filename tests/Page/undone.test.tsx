import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import { DeleteStudy } from '../../resources/ts/app/StudyRescue';
import { useKeptRecipeChanges } from '../../resources/ts/places/photo/queries';
import { WaitingLine } from '../../resources/ts/app/WaitingLine';
import { plan, study } from './examples';
import { allSent, answering, applicationThatAnswers, json, lost, made, problem, rename, sent, show } from './outboxBench';

applicationThatAnswers();

describe('an undo', () => {
    it('stands on what is shown, or on what was made by the change that is sent before it', async () => {
        answering(made(39), made(51), made(52), made(51));
        const { result } = show();
        await waitFor(() => expect(result.current.survey?.stamp).toBe(40));
        act(() => result.current.undo());
        await allSent(result);
        act(() => {
            result.current.change(rename('wall'));
            result.current.change(rename('sea'));
            result.current.undo();
            result.current.undo();
        });
        await allSent(result);
        expect(sent.filter((s) => s.url.endsWith('undo')).map((s) => s.body?.of)).toEqual([40, 52, 51]);
    });

    it('of a change that is refused is not sent: it would take back another', async () => {
        answering(problem(422, 'No.'));
        const { result } = show();
        await waitFor(() => expect(result.current.survey).toBeDefined());
        act(() => {
            result.current.change(rename(''));
            result.current.undo();
            result.current.change(rename('sea'));
        });
        await allSent(result);
        expect(sent.map((s) => s.url.split('/survey/')[1])).toEqual(['changes', 'changes']);
    });

    it('that came too late is said, and what is there now is asked for', async () => {
        answering(problem(409, 'Changed elsewhere meanwhile: rename “sea”.'));
        const onFault = vi.fn();
        const { result } = show(onFault);
        await waitFor(() => expect(result.current.survey).toBeDefined());
        act(() => result.current.undo());
        await waitFor(() => expect((onFault.mock.calls[0]?.[0] as Error | undefined)?.message).toContain('Changed elsewhere'));
    });
});

it('a study is deleted when it is asked for twice, and the keyboard stays with the question', async () => {
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => (
        <MemoryRouter>
            <QueryClientProvider client={client}>{children}</QueryClientProvider>
        </MemoryRouter>
    );
    render(<DeleteStudy study={study} onFault={vi.fn()} />, { wrapper });
    const pressed = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
    pressed('Delete study…');
    await waitFor(() => expect(document.activeElement?.textContent).toBe('Keep study'));
    pressed('Keep study');
    await waitFor(() => expect(document.activeElement?.textContent).toBe('Delete study…'));
    expect(sent).toEqual([]);
    pressed('Delete study…');
    pressed('Delete study');
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'DELETE', url: `/api/studies/${study.id}` }));
});

it('a recipe is kept under a key, so that it is kept once', async () => {
    answering(lost, json(plan()));
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>
            <WaitingLine />
            {children}
        </QueryClientProvider>
    );
    const { result } = renderHook(() => useKeptRecipeChanges(study, vi.fn()), { wrapper });
    const onSuccess = vi.fn();
    act(() => result.current.add.mutate({ name: 'rope', x: 1, y: 1, ring: 9, label: 'closest', stack: '735@0.35' }, { onSuccess }));
    fireEvent.click(await screen.findByRole('button', { name: 'Send now' }));
    await waitFor(() => expect(onSuccess).toHaveBeenCalledOnce());
    expect(sent[1]).toEqual(sent[0]);
    expect(sent[0]?.key?.length).toBeGreaterThan(8);
});
