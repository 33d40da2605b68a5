import { useEffect, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';

/**
 * A choice that is part of the address, so that it is there after a reload, can be sent, and is left by Back.
 *
 * @param remembered what is chosen where the address does not say
 */
export function useInAddress<T extends string>(
    name: string,
    choices: readonly { readonly value: T }[],
    remembered: T,
): [chosen: T, choose: (value: T) => void] {
    const [params, write] = useAddress();
    const [chosen, show] = useAtOnce(choices.find((c) => c.value === params.get(name))?.value ?? remembered);
    const choose = (value: T) => {
        if (value !== chosen) {
            show(value);
            write(name, value, false);
        }
    };
    return [chosen, choose];
}

/** What the address says, and what was chosen a moment before the address follows. */
function useAtOnce<T>(inAddress: T): [shown: T, show: (value: T) => void] {
    const [state, setState] = useState({ shown: inAddress, inAddress });
    // Gone back before the address had followed, what was chosen would stay: to here the address seems never to have changed.
    useEffect(() => {
        const onBack = () => setState((s) => ({ ...s, shown: s.inAddress }));
        window.addEventListener('popstate', onBack);
        return () => window.removeEventListener('popstate', onBack);
    }, []);
    if (state.inAddress !== inAddress) {
        setState({ shown: inAddress, inAddress });
    }
    return [state.inAddress === inAddress ? state.shown : inAddress, (shown) => setState((s) => ({ ...s, shown }))];
}

/** A number in the address; choosing another is no step that Back goes. */
export function useNumberInAddress(name: string): [chosen: number | null, choose: (value: number | null) => void] {
    const [params, write] = useAddress();
    const text = params.get(name) ?? '';
    const [chosen, show] = useAtOnce(/^\d{1,9}$/.test(text) ? Number(text) : null);
    const choose = (value: number | null) => {
        show(value);
        write(name, value === null ? null : String(value), true);
    };
    return [chosen, choose];
}

/** A text in the address, likewise. */
export function useTextInAddress(name: string): [text: string, write: (text: string) => void] {
    const [params, write] = useAddress();
    return [params.get(name) ?? '', (text) => write(name, text === '' ? null : text, true)];
}

/** What was written into the address and does not show there yet; what is written next stands on it. */
let written: { under: string; params: URLSearchParams } | null = null;

function useAddress(): [params: URLSearchParams, write: (name: string, value: string | null, replace: boolean) => void] {
    const [params, setParams] = useSearchParams();
    const { pathname, search } = useLocation();
    const under = pathname + search;
    useEffect(() => {
        const forget = () => {
            written = null;
        };
        forget();
        window.addEventListener('popstate', forget);
        return () => window.removeEventListener('popstate', forget);
    }, [under]);
    const write = (name: string, value: string | null, replace: boolean) => {
        const next = new URLSearchParams(written?.under === under ? written.params : params);
        if (value === null) {
            next.delete(name);
        } else {
            next.set(name, value);
        }
        written = { under, params: next };
        setParams(next, { replace });
    };
    return [params, write];
}
