import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { DrawingCheck, DrawingFinding } from '../../../resources/ts/api/types';
import { CheckPart } from '../../../resources/ts/places/plan/check/CheckPart';
import { application, wrapper } from '../application';
import { study } from '../examples';
import { picture, shade, zoneOfPlan } from './planExamples';

const app = application();

const colour = (hex: string) => ({ hex, lab: [50, 0, 0] });

const finding = (zone: string, words: string, move: string): DrawingFinding => ({
    zone,
    number: zone.length,
    shade: 'dark',
    name: 'dark',
    area: 0.1,
    expected: colour('#445566'),
    found: colour('#667788'),
    aim: colour('#445566'),
    deltaE00: 7,
    valueError: 1,
    words,
    move: { words: move, asPlanned: false, lifts: 0, pencil: '745', pressure: 'firm', endDeltaE00: 1 },
});

const check = (id: number, more: Partial<DrawingCheck> = {}): DrawingCheck => ({
    id,
    passes: 2,
    zones: [],
    made: '2026-03-01T10:00:00+00:00',
    summary: 'The dark of "float" is a step too light.',
    alike: 0.9,
    meanDeltaE00: 2.8,
    corners: [],
    findings: [finding('float', 'Off: a step too light', '745 firmly over it: it then ends close.')],
    ...more,
});

const planned = picture({ waiting: 0, zones: [zoneOfPlan(1, 'float', [shade('mid')])] });

const show = () => render(<CheckPart study={study} picture={planned} />, { wrapper });

const photographed = (name = 'drawing.jpg') =>
    fireEvent.change(document.querySelector('input[type="file"]') as Element, { target: { files: [new File(['x'], name)] } });

describe('checking the drawing', () => {
    beforeEach(() => {
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:1', revokeObjectURL: () => undefined }));
        app.says('GET', '/plan/checks', { checks: [] });
    });

    it('says what a photo said and what to do next, the latest first', async () => {
        app.says('GET', '/plan/checks', { checks: [check(3)] });
        app.says('POST', '/plan/checks/made-up', check(4, { summary: 'The drawing matches the plan so far.', passes: 1 }), 201);
        show();
        await screen.findByText('The dark of "float" is a step too light.');
        expect(screen.getByRole('list', { name: 'What to do next, zone by zone' }).textContent).toContain(
            'float, dark: Off: a step too light. 745 firmly over it',
        );
        fireEvent.change(screen.getByLabelText('Passes done'), { target: { value: '1' } });
        fireEvent.click(screen.getByRole('button', { name: 'Try with a simulated photo' }));
        await screen.findByText('The drawing matches the plan so far.');
        expect(app.last('POST')?.body).toEqual({ passes: 1 });
        expect(screen.getAllByRole('heading').map((h) => h.textContent)).toEqual([
            'Check the drawing',
            'The drawing matches the plan so far.',
            'The dark of "float" is a step too light.',
        ]);
        app.says('DELETE', '/plan/checks/4', { checks: [check(3)] });
        fireEvent.click(within(screen.getByRole('region', { name: /after 1 passes/ })).getByRole('button', { name: 'Remove' }));
        await waitFor(() => expect(screen.queryByText('The drawing matches the plan so far.')).toBeNull());
    });

    it('shows the worst six of many, and all when asked', async () => {
        app.says('GET', '/plan/checks', {
            checks: [check(3, { findings: Array.from({ length: 9 }, (_, i) => finding(`zone ${'x'.repeat(i)}`, 'Near', 'Leave it.')) })],
        });
        show();
        const list = await screen.findByRole('list', { name: 'What to do next, zone by zone' });
        expect(within(list).getAllByRole('listitem')).toHaveLength(6);
        fireEvent.click(screen.getByRole('button', { name: 'All 9' }));
        expect(within(list).getAllByRole('listitem')).toHaveLength(9);
        fireEvent.click(screen.getByRole('button', { name: 'Hide findings' }));
        expect(screen.queryByRole('list', { name: 'What to do next, zone by zone' })).toBeNull();
    });

    it('keeps a photo that could not be read in hand, and reads it by corners that are set', async () => {
        app.refuses('POST', '/plan/checks', 422, 'This does not look like the drawing of this plan.');
        show();
        await screen.findByRole('button', { name: 'Choose a photo of the drawing' });
        photographed();
        await screen.findByText('This does not look like the drawing of this plan.');
        const corner = screen.getByRole('button', { name: /drawing's top left: 15 % across, 15 % down/ });
        fireEvent.keyDown(corner, { key: 'ArrowRight' });
        fireEvent.keyDown(corner, { key: 'ArrowDown' });
        await screen.findByRole('button', { name: /drawing's top left: 16 % across, 16 % down/ });
        app.says('POST', '/plan/checks', check(5), 201);
        fireEvent.click(screen.getByRole('button', { name: 'Read it with these corners' }));
        await screen.findByText('The dark of "float" is a step too light.');
        const sent = app.last('POST')?.body as FormData;
        expect(sent.get('corners')).toBe('0.1600,0.1600,0.8500,0.1500,0.8500,0.8500,0.1500,0.8500');
        expect(sent.get('passes')).toBe('2');
        expect(screen.queryByRole('button', { name: 'Read it with these corners' })).toBeNull();
    });

    it('is told how far each zone is where that differs, and remembers it for the next photo', async () => {
        app.says('GET', '/plan/checks', {
            checks: [
                check(3, {
                    zones: [
                        { zone: 1, name: 'float', passes: 0 },
                        { zone: 9, name: 'a zone that is gone', passes: 2 },
                    ],
                }),
            ],
        });
        app.says('POST', '/plan/checks/made-up', check(4), 201);
        show();
        await screen.findByText(/; float not begun; a zone that is gone 2 passes/);
        const far = await screen.findByLabelText('float');
        expect((far as HTMLSelectElement).value).toBe('0');
        fireEvent.change(far, { target: { value: '1' } });
        fireEvent.click(screen.getByRole('button', { name: 'Try with a simulated photo' }));
        await waitFor(() => expect(app.last('POST')?.body).toEqual({ passes: 2, zones: '1:1' }));
        fireEvent.change(screen.getByLabelText('float'), { target: { value: '' } });
        fireEvent.click(screen.getByRole('button', { name: 'Try with a simulated photo' }));
        await waitFor(() => expect(app.last('POST')?.body).toEqual({ passes: 2 }));
    });

    it('waits for a plan', () => {
        render(<CheckPart study={study} picture={picture({ waiting: 3 })} />, { wrapper });
        expect(screen.getByText(/plan the picture first/)).toBeTruthy();
    });
});
