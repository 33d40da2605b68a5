import type { ComponentProps } from 'react';
import styled from 'styled-components';
import type { Study } from '../../api/types';

const Frame = styled.div<{ $shape: number }>`
    position: relative;
    width: min(100%, calc(40vh * ${(p) => p.$shape}));
    aspect-ratio: ${(p) => p.$shape};
    &[tabindex] {
        cursor: crosshair;
    }
    & img {
        width: 100%;
        height: 100%;
        display: block;
    }
    & i {
        position: absolute;
        width: 22px;
        height: 22px;
        translate: -50% -50%;
        border: 2px solid #fff;
        outline: 1.5px solid #000;
        border-radius: 50%;
        pointer-events: none;
    }
`;

interface RingOnPhotoProps extends ComponentProps<'div'> {
    study: Study;
    /** Where the ring is, shares of the photo. */
    at: readonly [number, number] | null;
}

/** The study's photo with a ring on it. */
export function RingOnPhoto({ study, at, ...rest }: RingOnPhotoProps) {
    return (
        <Frame $shape={study.photoWidth / study.photoHeight} {...rest}>
            <img src={`/api/studies/${study.id}/photo`} alt="" draggable={false} />
            {at !== null && <i style={{ left: `${at[0] * 100}%`, top: `${at[1] * 100}%` }} />}
        </Frame>
    );
}
