import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

/** Places lie this far apart, as shares of the picture. */
const STEPS = 60;

/** How long a finger is held before it looks closer. */
const HELD = 400;

const KEY = 'l';

/** Shares of the picture. */
export type Place = readonly [x: number, y: number];

const within = (v: number): number => Math.max(0, Math.min(1, Math.round(v * STEPS) / STEPS));

const isWriting = (target: EventTarget | null): boolean =>
    target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

const ARROWS: Record<string, Place> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** Whether the key is held down while the pointer is over the picture. */
function useHeldKey(isOver: () => boolean, onDown: () => void, onUp: () => void) {
    const now = useRef({ isOver, onDown, onUp });
    useEffect(() => {
        now.current = { isOver, onDown, onUp };
    });
    useEffect(() => {
        const isKey = (event: globalThis.KeyboardEvent) => event.key.toLowerCase() === KEY;
        const down = (event: globalThis.KeyboardEvent) => {
            if (isKey(event) && now.current.isOver() && !event.ctrlKey && !event.metaKey && !isWriting(event.target)) {
                now.current.onDown();
            }
        };
        const up = (event: globalThis.KeyboardEvent) => isKey(event) && now.current.onUp();
        window.addEventListener('keydown', down);
        window.addEventListener('keyup', up);
        return () => {
            window.removeEventListener('keydown', down);
            window.removeEventListener('keyup', up);
        };
    }, []);
}

const placeOf = (event: PointerEvent<HTMLDivElement>): Place => {
    const box = event.currentTarget.getBoundingClientRect();
    return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)];
};

interface Glass {
    isOn: boolean;
    isHeld: boolean;
    setIsHeld: (isHeld: boolean) => void;
    setPlace: (place: Place) => void;
}

/** What the pointer does over the picture: a mouse is followed, a finger looks closer while it is held. */
function usePointer({ isOn, isHeld, setIsHeld, setPlace }: Glass) {
    const over = useRef<Place | null>(null);
    const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
    useEffect(() => () => clearTimeout(wait.current), []);
    const soon = (after: number, what: () => void) => {
        clearTimeout(wait.current);
        wait.current = setTimeout(what, after);
    };
    const end = () => {
        clearTimeout(wait.current);
        setIsHeld(false);
    };
    const handlers = {
        onPointerMove: (event: PointerEvent<HTMLDivElement>) => {
            const at = placeOf(event);
            over.current = at;
            if (isHeld || (isOn && event.pointerType !== 'touch')) {
                setPlace(at);
            }
        },
        onPointerLeave: () => {
            over.current = null;
        },
        onPointerDown: (event: PointerEvent<HTMLDivElement>) => {
            const at = placeOf(event);
            over.current = at;
            if (isOn) {
                setPlace(at);
            } else if (event.pointerType === 'touch') {
                soon(HELD, () => {
                    setPlace(at);
                    setIsHeld(true);
                });
            }
        },
        onPointerUp: (event: PointerEvent<HTMLDivElement>) => event.pointerType === 'touch' && end(),
        onPointerCancel: end,
    };
    return { handlers, isOver: () => over.current };
}

/**
 * Looking closer at the picture to come: with the button, as long as the key is held over it, or as long as a finger is. The place follows
 * the pointer, or the arrow keys.
 */
export function useLoupe() {
    const [isOn, setIsOn] = useState(false);
    const [isHeld, setIsHeld] = useState(false);
    const [place, setPlace] = useState<Place>([0.5, 0.5]);
    const { handlers, isOver } = usePointer({ isOn, isHeld, setIsHeld, setPlace });
    useHeldKey(
        () => isOver() !== null,
        () => {
            setPlace(isOver() ?? place);
            setIsHeld(true);
        },
        () => setIsHeld(false),
    );
    const byKeys = {
        role: 'application',
        tabIndex: 0,
        'aria-label': 'Zoom in: move over the picture, or with the arrow keys; Escape ends it.',
        onKeyDown: (event: KeyboardEvent<HTMLDivElement>) => {
            const by = ARROWS[event.key];
            if (by !== undefined) {
                const far = (event.shiftKey ? 6 : 1) / STEPS;
                setPlace(([x, y]) => [within(x + by[0] * far), within(y + by[1] * far)]);
            } else if (event.key === 'Escape') {
                setIsOn(false);
            } else {
                return;
            }
            event.preventDefault();
        },
    };
    return { isOn, setIsOn, isSeen: isOn || isHeld, place, handlers: isOn ? { ...handlers, ...byKeys } : handlers };
}
