import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, useLocation, useNavigate } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { lookOfText, lookText, PLAIN, type Look } from '../../resources/ts/stage/look/lookState';
import { PlaceBoundary } from '../../resources/ts/app/PlaceBoundary';
import { useInAddress, useNumberInAddress } from '../../resources/ts/ui/useInAddress';

afterEach(cleanup);

const CHOICES = [{ value: 'recipes' }, { value: 'zones' }] as const;

const at = (address: string) => {
    const wrapper = ({ children }: { children: ReactNode }) => <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>;
    return renderHook(
        () => ({
            beside: useInAddress('beside', CHOICES, 'recipes'),
            zone: useNumberInAddress('zone'),
            search: useLocation().search,
            go: useNavigate(),
        }),
        { wrapper },
    );
};

describe('what one looks at', () => {
    it('is in the address, read from it, and left as it was where it says nothing', () => {
        const { result } = at('/photo/7?beside=zones&zone=4');
        expect(result.current.beside[0]).toBe('zones');
        expect(result.current.zone[0]).toBe(4);
        act(() => result.current.zone[1](5));
        expect(result.current.search).toBe('?beside=zones&zone=5');
        act(() => result.current.beside[1]('recipes'));
        expect(result.current.search).toBe('?beside=recipes&zone=5');
        // Both in one breath, neither forgotten.
        act(() => {
            result.current.zone[1](null);
            result.current.beside[1]('zones');
        });
        expect(result.current.search).toBe('?beside=zones');
    });

    it('is what was remembered where the address says nothing, or nonsense', () => {
        for (const address of ['/photo/7', '/photo/7?beside=kitchen&zone=-1', '/photo/7?zone=99999999999999']) {
            const { result, unmount } = at(address);
            expect(result.current.beside[0]).toBe('recipes');
            expect(result.current.zone[0]).toBeNull();
            unmount();
        }
    });

    it('is what it was where one goes back before the page has followed', () => {
        const { result } = at('/photo/7?beside=zones');
        act(() => {
            result.current.beside[1]('recipes');
            void result.current.go(-1);
            window.dispatchEvent(new PopStateEvent('popstate'));
        });
        expect(result.current.search).toBe('?beside=zones');
        expect(result.current.beside[0]).toBe('zones');
    });

    it('is a way of looking, too, of which the address says what is not plain', () => {
        const look: Look = { ...PLAIN, tone: 'steps', steps: 5, only: 3, squint: 2, mirror: true, balanced: false };
        expect(lookText(PLAIN)).toBe('');
        expect(lookOfText(lookText(look))).toEqual(look);
        for (const nonsense of ['', 'tone:pink', 'squint:9', 'only:12', 'mirror:1', 'x:1', 'steps', '::,,']) {
            expect(lookOfText(nonsense)).toBeNull();
        }
    });
});

it('a fault in one place is said there', () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const reload = vi.fn();
    vi.stubGlobal('location', { reload });
    const Broken = () => {
        throw new Error('a fault of ours');
    };
    render(
        <PlaceBoundary name="Drawer">
            <Broken />
        </PlaceBoundary>,
    );
    expect(screen.getByRole('alert').textContent).toContain('“Drawer” can’t be shown');
    fireEvent.click(screen.getByRole('button', { name: 'Reload this page' }));
    expect(reload).toHaveBeenCalledOnce();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
});
