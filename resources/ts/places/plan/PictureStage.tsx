import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import styled from 'styled-components';
import type { Plan, Study } from '../../api/types';
import { useLoaded } from '../../stage/useLoaded';
import { Loupe } from './Loupe';
import { imageOf, loupeOf, useLight, type Drawn, type Light, type Line } from './queries';
import { RampPart } from './RampPart';
import { Inset } from '../../ui/layout';
import { useLoupe } from './useLoupe';
import { LookName, Laid, Parted, StageTools } from './stageParts';

const Stage = styled.div<{ $shape: number }>`
    position: relative;
    width: min(100%, calc(max(260px, 100vh - 300px) * ${(p) => p.$shape}));
    aspect-ratio: ${(p) => p.$shape};
    margin: 0 auto;
    overflow: hidden;
    background: var(--line);
    &[role='application'] {
        cursor: crosshair;
        touch-action: none;
    }
    @media (max-width: 1099px) {
        width: min(100%, calc(38vh * ${(p) => p.$shape}));
    }
    & img {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
    }
    & i {
        position: absolute;
        top: 0;
        bottom: 0;
        width: 3px;
        margin-left: -1.5px;
        background: #fff;
        outline: 1px solid #000;
    }
    & svg {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
        overflow: visible;
        pointer-events: none;
    }
    & > .left {
        left: 0;
    }
    & > .right {
        right: 0;
    }
    & > span {
        position: absolute;
        top: 0;
        padding: 1px 6px;
        background: #555;
        color: #fff;
        font-size: var(--size-note);
    }
`;

const STEPS: Record<string, readonly [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
const NEAR = 0.01;
const FAR = 0.08;

const within = (v: number): number => Math.max(0, Math.min(1, v));

/** A line drawn across the picture, by pressing and dragging or by keys. */
function useFadeLine() {
    const [drawing, setDrawing] = useState(false);
    const [line, setLine] = useState<Line | null>(null);
    const [cursor, setCursor] = useState<readonly [number, number]>([0.5, 0.5]);
    const [begun, setBegun] = useState<readonly [number, number] | null>(null);
    const placeOf = (event: PointerEvent<HTMLDivElement>): readonly [number, number] => {
        const box = event.currentTarget.getBoundingClientRect();
        return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)];
    };
    const end = (from: readonly [number, number], to: readonly [number, number]) => {
        setBegun(null);
        if (Math.hypot(to[0] - from[0], to[1] - from[1]) > NEAR) {
            setLine([from[0], from[1], to[0], to[1]]);
        }
    };
    const onKey = (event: KeyboardEvent<HTMLDivElement>) => {
        const by = STEPS[event.key];
        if (by !== undefined) {
            const far = event.shiftKey ? FAR : NEAR;
            setCursor(([x, y]) => [within(x + by[0] * far), within(y + by[1] * far)]);
        } else if (event.key === ' ' || event.key === 'Enter') {
            if (begun === null) {
                setBegun(cursor);
            } else {
                end(begun, cursor);
            }
        } else if (event.key === 'Escape') {
            setBegun(null);
            setDrawing(false);
        } else {
            return;
        }
        event.preventDefault();
    };
    const handlers = !drawing
        ? {}
        : {
              role: 'application',
              tabIndex: 0,
              'aria-label': 'Draw a line across a zone: press and drag, or move with the arrow keys and set both ends with Space.',
              onKeyDown: onKey,
              onPointerDown: (e: PointerEvent<HTMLDivElement>) => {
                  e.currentTarget.setPointerCapture(e.pointerId);
                  setBegun(placeOf(e));
                  setCursor(placeOf(e));
              },
              onPointerMove: (e: PointerEvent<HTMLDivElement>) => begun !== null && setCursor(placeOf(e)),
              onPointerUp: (e: PointerEvent<HTMLDivElement>) => begun !== null && end(begun, placeOf(e)),
          };
    return { drawing, setDrawing, line, cursor, begun, handlers };
}

/** The picture after every pass, laid over the photo as far as the divider; in colour, in grey, or where it will differ. */
export function PictureStage({ study, picture, stamp }: { study: Study; picture: Plan; stamp: string }) {
    const [step, setStep] = useState<number | null>(null);
    const [look, setLook] = useState<LookName>('colour');
    const [divider, setDivider] = useState(50);
    const [light, setLight] = useState<Light>('D65');
    const fade = useFadeLine();
    const loupe = useLoupe();
    const { drawing, setDrawing, line } = fade;
    const under = useLight(study.id, light, stamp);
    const planned = picture.zones.some((z) => z.targets.some((t) => t.recipe !== null));
    const at = Math.min(step ?? picture.steps, picture.steps);
    // A zone of which nothing is planned has no look yet.
    const whole =
        picture.waiting === 0 && picture.zones.every((z) => z.targets.some((t) => t.recipe !== null && !t.role.startsWith('touch')));
    const photo = useLoaded(`/api/studies/${study.id}/photos/${study.photoId}/look?tone=${look === 'grey' ? 'grey' : 'colour'}`);
    const drawn: Drawn = { study: study.id, step: look === 'error' ? 'error' : at, grey: look === 'grey', light, stamp };
    const laid = useLoaded(whole ? imageOf(drawn) : photo.shown);
    const isClose = whole && loupe.isSeen && !drawing && look !== 'error';
    return (
        <section aria-label="The picture to come">
            <Stage $shape={study.photoWidth / study.photoHeight} {...(drawing ? fade.handlers : whole ? loupe.handlers : {})}>
                <img src={photo.shown} alt={`the photo, ${look === 'grey' ? 'in grey' : 'in colour'}`} draggable={false} />
                {whole && <Laid shown={laid.shown} waiting={laid.waiting} look={look} at={at} of={picture.steps} divider={divider} />}
                <span className="left">photo</span>
                {drawing && <FadeLine fade={fade} />}
                {isClose && (
                    <Loupe
                        place={loupe.place}
                        of={(x, y) => loupeOf(drawn, x, y)}
                        wide={study.pictureWidthMm}
                        high={(study.pictureWidthMm * study.photoHeight) / study.photoWidth}
                    />
                )}
            </Stage>
            {planned && !whole && <Inset as="p">The picture is drawn as soon as all is planned.</Inset>}
            {whole && (
                <StageTools
                    {...{ divider, setDivider, at, setStep, look, setLook, drawing, setDrawing, light, setLight, loupe }}
                    of={picture.steps}
                />
            )}
            {whole && light !== 'D65' && <Parted under={under.data} />}
            {drawing && <RampPart study={study.id} line={line} stamp={stamp} />}
        </section>
    );
}

function FadeLine({ fade: { line, cursor, begun } }: { fade: ReturnType<typeof useFadeLine> }) {
    return (
        <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
            {line !== null && begun === null && <Stroke line={line} />}
            {begun !== null && <Stroke line={[begun[0], begun[1], cursor[0], cursor[1]]} />}
            <circle cx={cursor[0] * 100} cy={cursor[1] * 100} r="0.8" fill="#fff" stroke="#000" strokeWidth="0.3" />
        </svg>
    );
}

function Stroke({ line: [x1, y1, x2, y2] }: { line: Line }) {
    const place = { x1: x1 * 100, y1: y1 * 100, x2: x2 * 100, y2: y2 * 100 };
    return (
        <>
            <line {...place} stroke="#000" strokeWidth="5" vectorEffect="non-scaling-stroke" />
            <line {...place} stroke="#fff" strokeWidth="2" vectorEffect="non-scaling-stroke" />
        </>
    );
}
