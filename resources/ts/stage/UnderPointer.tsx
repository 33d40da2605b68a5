import styled from 'styled-components';
import type { Study } from '../api/types';

import type { Look } from './look/lookState';
import type { SpotState } from './spotState';
import { useThrottled } from './useThrottled';
import { useSpot } from './useSpot';

const Line = styled.p`
    position: absolute;
    left: 0;
    bottom: 0;
    max-width: 100%;
    display: flex;
    align-items: center;
    gap: var(--space-2);
    padding: var(--space-1) var(--space-3) var(--space-1) var(--space-1);
    background: #777;
    color: #fff;
    font-size: var(--type-text);
    pointer-events: none;
    & i {
        width: 22px;
        height: 18px;
    }
`;

/** How often a moving pointer asks, milliseconds. */
const EVERY = 70;

/** What lies under a moving pointer, in words, along the photo's lower edge; the ring and its recipes stay where they are. */
export function UnderPointer({ study, photo, spot, look }: { study: Study; photo: number; spot: SpotState; look: Look }) {
    const { data } = useSpot(study, photo, useThrottled(spot, EVERY), look);
    return (
        data !== undefined && (
            <Line data-testid="under-pointer" aria-hidden="true">
                <i style={{ background: data.hex }} />
                {data.words}
            </Line>
        )
    );
}
