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
    /** In words; empty where what stands beside it says so already. */
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
    const named = label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label };
    return <Surface ref={canvas} width={width * FINENESS} height={height * FINENESS} {...named} />;
}

/** Where in the grain a dab lies: always the same for the same colours, elsewhere for others, so that neighbours are not one stamp. */
function placeOf(strata: readonly string[], room: number): number {
    let hash = 17;
    for (const hex of strata) {
        hash = (Math.imul(hash, 31) + parseInt(hex.slice(1), 16)) >>> 0;
    }
    return room < 1 ? 0 : hash % room;
}

function paint(canvas: HTMLCanvasElement, grain: Grain, strata: readonly string[]): void {
    const context = canvas.getContext('2d');
    if (context === null) {
        return;
    }
    const { width, height } = canvas;
    const image = context.createImageData(width, height);
    // A drawer shows hundreds of dabs, so whole pixels are written at once: alpha, blue, green, red from the highest byte down.
    const pixels = new Uint32Array(image.data.buffer);
    const colours = strata.map((hex) => {
        const rgb = parseInt(hex.slice(1), 16);
        return ((0xff << 24) | ((rgb & 0xff) << 16) | (rgb & 0xff00) | (rgb >> 16)) >>> 0;
    });
    const [left, top] = [placeOf(strata, grain.side - width), placeOf([...strata].reverse(), grain.side - height)];
    for (let y = 0, at = 0; y < height; y++) {
        const row = ((top + y) % grain.side) * grain.side;
        for (let x = 0; x < width; x++, at++) {
            pixels[at] = colours[grain.tile.charCodeAt(row + ((left + x) % grain.side)) - 48] ?? 0xff000000;
        }
    }
    context.putImageData(image, 0, 0);
}
