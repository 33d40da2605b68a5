import { useState } from 'react';
import { useSearchParams } from 'react-router';

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
    const [params, setParams] = useSearchParams();
    const [chosen, show] = useAtOnce(choices.find((c) => c.value === params.get(name))?.value ?? remembered);
    const choose = (value: T) => {
        if (value !== chosen) {
            show(value);
            setParams((p) => withParam(p, name, value));
        }
    };
    return [chosen, choose];
}

/** What the address says, and what was chosen a moment before the address follows. */
function useAtOnce<T>(inAddress: T): [shown: T, show: (value: T) => void] {
    const [state, setState] = useState({ shown: inAddress, inAddress });
    if (state.inAddress !== inAddress) {
        setState({ shown: inAddress, inAddress });
    }
    return [state.inAddress === inAddress ? state.shown : inAddress, (shown) => setState((s) => ({ ...s, shown }))];
}

/** A number in the address; choosing another is no step that Back goes. */
export function useNumberInAddress(name: string): [chosen: number | null, choose: (value: number | null) => void] {
    const [params, setParams] = useSearchParams();
    const text = params.get(name) ?? '';
    const [chosen, show] = useAtOnce(/^\d{1,9}$/.test(text) ? Number(text) : null);
    const choose = (value: number | null) => {
        show(value);
        setParams((p) => withParam(p, name, value === null ? null : String(value)), { replace: true });
    };
    return [chosen, choose];
}

/** A text in the address, likewise. */
export function useTextInAddress(name: string): [text: string, write: (text: string) => void] {
    const [params, setParams] = useSearchParams();
    return [params.get(name) ?? '', (text) => setParams((p) => withParam(p, name, text === '' ? null : text), { replace: true })];
}

function withParam(params: URLSearchParams, name: string, value: string | null): URLSearchParams {
    const next = new URLSearchParams(params);
    if (value === null) {
        next.delete(name);
    } else {
        next.set(name, value);
    }
    return next;
}
