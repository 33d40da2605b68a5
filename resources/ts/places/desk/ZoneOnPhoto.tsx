import styled from 'styled-components';
import type { Desk, DeskStep, Study } from '../../api/types';
import { cssFlip, flipOf } from '../../stage/flip';
import { rememberedLook } from '../../stage/look/lookState';
import { Broken, pathOf, thin, Twice } from '../../stage/lines';

const Frame = styled.div<{ $shape: number }>`
    position: relative;
    width: min(100%, calc((100vh - 250px) * ${(p) => p.$shape}));
    aspect-ratio: ${(p) => p.$shape};
    & img,
    & svg {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
    }
    @media (max-width: 899px) {
        width: min(100%, calc(30vh * ${(p) => p.$shape}));
    }
`;

interface ZoneOnPhotoProps {
    study: Study;
    zones: Desk['zones'];
    /** The zone that is worked; all else is dimmed. */
    zone: number | null;
    /** The pass: one over touches alone is shown where they lie. */
    step: DeskStep | null;
}

/** Where one is: the zone on the photo, all else dimmed. */
export function ZoneOnPhoto({ study, zones, zone, step }: ZoneOnPhotoProps) {
    const [width, height] = [1000, (1000 * study.photoHeight) / study.photoWidth];
    const here = zones.find((z) => z.number === zone);
    const flip = flipOf(rememberedLook(study.id));
    const whole = here === undefined ? '' : pathOf(here.outlines, width, height, true);
    const laid = step?.shades.filter((s) => s.pressure !== null).map((s) => s.shade) ?? [];
    const touches = here?.touches.filter((t) => laid.includes(t.shade)) ?? [];
    const isOnTouches = step?.zone === zone && touches.length > 0 && laid.every((shade) => shade.startsWith('touch'));
    const d = isOnTouches ? touches.map((t) => pathOf(t.outlines, width, height, true)).join('') : whole;
    return (
        // Mirrored or upside down where the photo was looked at so.
        <Frame $shape={study.photoWidth / study.photoHeight} style={{ transform: cssFlip(flip) }}>
            <img
                src={`/api/studies/${study.id}/photo`}
                alt={here === undefined ? 'the photo' : `the photo, “${here.name}” in it`}
                draggable={false}
            />
            {here !== undefined && (
                <svg viewBox={`0 0 ${width} ${height}`} preserveAspectRatio="none" aria-hidden="true">
                    <path d={`M0 0H${width}V${height}H0Z${d}`} fill="#4d4d4d" fillOpacity="0.78" fillRule="evenodd" />
                    <Twice width={2}>
                        <path d={whole} {...thin} />
                    </Twice>
                    <Broken lines={here.graded} extent={{ width, height }} wide={2.4} />
                    {isOnTouches && (
                        <Twice width={1.4}>
                            <path d={d} strokeDasharray="4 3" {...thin} />
                        </Twice>
                    )}
                </svg>
            )}
        </Frame>
    );
}
