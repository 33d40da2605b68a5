import styled from 'styled-components';
import type { Study } from '../api/types';
import { pathOf, thin } from './lines';

const Frame = styled.svg`
    display: block;
    width: 100%;
    height: auto;
`;

interface ZoneThumbProps {
    study: Study;
    /** Closed lines round the zone, as shares of the photo. */
    outlines: readonly (readonly number[])[];
}

/** Where a zone is: the photo, small, with all else veiled in the colour of the surroundings. */
export function ZoneThumb({ study, outlines }: ZoneThumbProps) {
    const [width, height] = [1000, Math.round((1000 * study.photoHeight) / study.photoWidth)];
    const d = pathOf(outlines, width, height, true);
    return (
        <Frame viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
            <image href={`/api/studies/${study.id}/photo`} width={width} height={height} preserveAspectRatio="none" />
            <path d={`M0 0H${width}V${height}H0Z${d}`} fill="var(--ground)" fillOpacity="0.82" fillRule="evenodd" />
            <path d={d} fill="none" stroke="var(--ink)" strokeOpacity="0.7" {...thin} />
        </Frame>
    );
}
