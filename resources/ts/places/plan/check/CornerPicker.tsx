import { useEffect, useMemo, useRef, useState } from 'react';
import { useMove, type MoveMoveEvent } from 'react-aria/useMove';
import styled from 'styled-components';
import { Button } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import type { Corners } from './useChecks';

const Over = styled.div`
    position: relative;
    max-width: 560px;
    touch-action: none;
    & img {
        display: block;
        width: 100%;
    }
    & svg {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
        overflow: visible;
    }
    & polygon {
        fill: none;
        stroke: #fff;
        stroke-width: 2;
        vector-effect: non-scaling-stroke;
        paint-order: stroke;
    }
`;

const Handle = styled.button`
    position: absolute;
    width: 44px;
    height: 44px;
    margin: -22px 0 0 -22px;
    padding: 0;
    border: 0;
    border-radius: 50%;
    background: radial-gradient(circle, #fff 0 3px, #000 3px 5px, transparent 5px 14px, #fff 14px 16px, #000 16px 18px, transparent 18px);
    cursor: grab;
`;

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

const AT_FIRST: Corners = [
    [0.15, 0.15],
    [0.85, 0.15],
    [0.85, 0.85],
    [0.15, 0.85],
];

type Moved = Pick<MoveMoveEvent, 'deltaX' | 'deltaY' | 'pointerType'>;

const held = (share: number): number => Math.max(0, Math.min(1, share));

interface CornerPickerProps {
    file: File;
    isPending: boolean;
    onRead: (corners: Corners) => void;
}

/** The four corners of the drawing, dragged or moved by arrow keys to where they are in its photo. */
export function CornerPicker({ file, isPending, onRead }: CornerPickerProps) {
    const [corners, setCorners] = useState<Corners>(AT_FIRST);
    const frame = useRef<HTMLDivElement>(null);
    const address = useMemo(() => URL.createObjectURL(file), [file]);
    useEffect(() => () => URL.revokeObjectURL(address), [address]);
    const move = (which: number, { deltaX, deltaY, pointerType }: Moved) => {
        const box = frame.current?.getBoundingClientRect();
        // A key moves by a hundredth of the photo, a pointer by as much as it moves itself.
        const [width, height] = pointerType === 'keyboard' ? [100, 100] : [box?.width ?? 0, box?.height ?? 0];
        if (width > 0 && height > 0) {
            setCorners((all) => all.map((c, i) => (i === which ? [held(c[0] + deltaX / width), held(c[1] + deltaY / height)] : c)));
        }
    };
    return (
        <>
            <p>Set the four corners of the drawing, the first where its own top left is, and have it read once more.</p>
            <Over ref={frame}>
                <img src={address} alt="The photo that could not be read" draggable={false} />
                <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
                    <polygon points={corners.map(([x, y]) => `${x * 100},${y * 100}`).join(' ')} />
                </svg>
                {corners.map((corner, i) => (
                    <Corner key={i} name={NAMES[i] ?? ''} at={corner} onMove={(moved) => move(i, moved)} />
                ))}
            </Over>
            <Row>
                <Button $main isPending={isPending} onPress={() => onRead(corners)}>
                    Read it with these corners
                </Button>
            </Row>
        </>
    );
}

interface CornerProps {
    name: string;
    at: readonly [number, number];
    onMove: (moved: Moved) => void;
}

function Corner({ name, at, onMove }: CornerProps) {
    const { moveProps } = useMove({ onMove });
    return (
        <Handle
            {...moveProps}
            type="button"
            aria-label={`Corner at the drawing's ${name}: ${Math.round(at[0] * 100)} % across, ${Math.round(at[1] * 100)} % down`}
            style={{ left: `${at[0] * 100}%`, top: `${at[1] * 100}%` }}
        />
    );
}
