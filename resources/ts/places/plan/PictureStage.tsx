import { useState } from 'react';
import styled from 'styled-components';
import type { Plan, Study } from '../../api/types';
import { useLoaded } from '../../stage/useLoaded';
import { Loupe } from './loupe/Loupe';
import { imageOf, loupeOf, photoOf, useLight, useWork, type Drawn, type Line, type PlanChanges } from './queries';
import { RampPart } from './RampPart';
import { StrokesPart, type StrokesWay } from './StrokesPart';
import { useStageLine } from './useStageLine';
import { Inset } from '../../ui/layout';
import { useLoupe } from './loupe/useLoupe';
import { Laid, Parted, StageTools, Told } from './stageParts';
import { useSeeing } from './useSeeing';

const Stage = styled.div<{ $shape: number }>`
    position: relative;
    width: min(100%, calc(max(260px, 100vh - 370px) * ${(p) => p.$shape}));
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
        translate: -50% 0;
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
        padding: var(--space-1) var(--space-2);
        background: #555;
        color: #fff;
        font-size: var(--type-small);
    }
`;

/** What a line drawn across the picture is for. */
export type LineUse = 'fade' | 'strokes';

const LABELS: Record<LineUse, string> = {
    fade: 'Draw a line across a zone: press and drag, or move with the arrow keys and set both ends with Space.',
    strokes: 'Set the direction of strokes: press and drag over a zone, or move with the arrow keys and set with Space.',
};

/** A line across the picture, for a fade or for the way that strokes run; where it is for neither there is none. */
function useLine(changes: PlanChanges) {
    const [use, setUse] = useState<LineUse | null>(null);
    const [way, setWay] = useState<StrokesWay>('drawn');
    const [line, setLine] = useState<Line | null>(null);
    const leave = (next: LineUse | null = null) => {
        setUse(next);
        setLine(null);
    };
    const stage = useStageLine({
        label: LABELS[use ?? 'fade'],
        isPlaceEnough: use === 'strokes' && way !== 'drawn',
        onLeave: leave,
        onLine: (drawn) => {
            setLine(drawn);
            if (use === 'strokes') {
                const [x1, y1, x2, y2] = drawn;
                changes.change.mutate({ kind: 'strokes', how: way, x1, y1, x2, y2 });
            }
        },
    });
    return { use, setUse: leave, way, setWay, line, stage };
}

interface PictureStageProps {
    study: Study;
    picture: Plan;
    stamp: string;
    changes: PlanChanges;
}

/** The picture after every pass, laid over the photo as far as the divider; in colour, in grey, or where it will differ. */
export function PictureStage({ study, picture, stamp, changes }: PictureStageProps) {
    const across = useLine(changes);
    const loupe = useLoupe();
    const planned = picture.zones.some((z) => z.sequence !== null);
    // A zone of which nothing is planned has no look yet.
    const whole = picture.waiting === 0 && picture.zones.every((z) => z.sequence !== null);
    const state = useSeeing(picture.steps, useWork(study.id, stamp, whole).data);
    const { look, squint, light } = state.seeing;
    const under = useLight(study.id, light, stamp);
    const tone = look === 'error' ? 'colour' : look;
    const drawn: Drawn = { study: study.id, laid: look === 'error' ? 'step=error' : state.walk.laid(state.at), tone, squint, light, stamp };
    const photo = useLoaded(photoOf(study.id, study.photoId, { tone, squint }));
    const laid = useLoaded(whole ? imageOf(drawn) : photo.shown);
    const isClose = whole && loupe.isSeen && across.use === null && look !== 'error';
    return (
        <section aria-label="Preview of the drawing">
            <Stage
                $shape={study.photoWidth / study.photoHeight}
                {...(across.use !== null ? across.stage.handlers : whole ? loupe.handlers : {})}
            >
                <img src={photo.shown} alt={`the photo, ${tone === 'steps' ? 'in value steps' : `in ${tone}`}`} draggable={false} />
                {whole && <Laid shown={laid.shown} waiting={laid.waiting} state={state} />}
                <span className="left">photo</span>
                {across.use !== null && <DrawnLine line={across.line} {...across.stage} />}
                {isClose && (
                    <Loupe
                        place={loupe.place}
                        of={(x, y) => loupeOf(drawn, x, y)}
                        wide={study.pictureWidthMm}
                        high={(study.pictureWidthMm * study.photoHeight) / study.photoWidth}
                    />
                )}
            </Stage>
            {planned && !whole && <Inset as="p">The picture appears when every zone is planned.</Inset>}
            {whole && <StageTools state={state} use={across.use} setUse={across.setUse} loupe={loupe} />}
            {whole && look !== 'error' && <Told state={state} />}
            {whole && light !== 'D65' && <Parted under={under.data} />}
            {across.use === 'fade' && <RampPart study={study.id} line={across.line} stamp={stamp} />}
            {across.use === 'strokes' && <StrokesPart way={across.way} onWay={across.setWay} picture={picture} />}
        </section>
    );
}

function DrawnLine({ line, cursor, begun }: { line: Line | null } & Pick<ReturnType<typeof useStageLine>, 'cursor' | 'begun'>) {
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
