import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import type { Grain } from '../api/types';
import { useGrain } from './grain';

const Surface = styled.canvas`
    display: block;
    width: 100%;
    height: 100%;
`;

interface DabProps {
    /** Colour of each stratum of the tooth, peaks first, as the model gave them. */
    strata: readonly string[];
    width: number;
    height: number;
    label: string;
}

/** Grain pixels for each pixel of the page: real grain is finer than a screen, and its flecks run together for the eye. */
const FINENESS = 2;

/** A dab in pencil grain: every pixel of the paper's surface in the colour of the stratum that shows there. */
export function Dab({ strata, width, height, label }: DabProps) {
    const canvas = useRef<HTMLCanvasElement>(null);
    const grain = useGrain();
    useEffect(() => {
        if (grain !== null && canvas.current !== null) {
            paint(canvas.current, grain, strata);
        }
    }, [grain, strata, width, height]);
    return <Surface ref={canvas} width={width * FINENESS} height={height * FINENESS} role="img" aria-label={label} />;
}

function paint(canvas: HTMLCanvasElement, grain: Grain, strata: readonly string[]): void {
    const context = canvas.getContext('2d');
    if (context === null) {
        return;
    }
    const { width, height } = canvas;
    const image = context.createImageData(width, height);
    const colours = strata.map((hex) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)));
    for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
            const stratum = grain.tile.charCodeAt((y % grain.side) * grain.side + (x % grain.side)) - 48;
            const colour = colours[stratum] ?? colours[0];
            image.data.set([...(colour ?? [0, 0, 0]), 255], 4 * (y * width + x));
        }
    }
    context.putImageData(image, 0, 0);
}
