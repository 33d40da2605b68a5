import { useRef, useState } from 'react';
import { sentenceOf } from '../../../api/client';
import type { Study } from '../../../api/types';
import { RingOnPhoto } from '../RingOnPhoto';
import { colourAt } from './queries';

/** How far an arrow moves the ring, shares of the photo. */
const STEP = 0.02;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-STEP, 0],
    ArrowRight: [STEP, 0],
    ArrowUp: [0, -STEP],
    ArrowDown: [0, STEP],
};

interface PointAtPhotoProps {
    study: Study;
    onColour: (hex: string, words: string) => void;
    onFault: (text: string) => void;
}

const within = (share: number): number => Math.min(1, Math.max(0, share));

/** The study's photo, to point at a colour in: by mouse, by touch, or by arrows and Enter. */
export function PointAtPhoto({ study, onColour, onFault }: PointAtPhotoProps) {
    const [at, setAt] = useState<readonly [number, number] | null>(null);
    // Only the latest place that was pointed at is looked for.
    const latest = useRef(0);
    const look = async (x: number, y: number) => {
        setAt([x, y]);
        const mine = ++latest.current;
        try {
            const spot = await colourAt(study.id, x * (study.photoWidth - 1), y * (study.photoHeight - 1));
            if (mine === latest.current) {
                onColour(spot.hex, spot.words);
            }
        } catch (error) {
            onFault(sentenceOf(error));
        }
    };
    return (
        <RingOnPhoto
            study={study}
            at={at}
            role="application"
            aria-roledescription="photo to point at"
            aria-label="Point at a colour in the photo: arrows move the ring, Enter searches for it"
            tabIndex={0}
            onClick={(e) => {
                const box = e.currentTarget.getBoundingClientRect();
                void look(within((e.clientX - box.left) / box.width), within((e.clientY - box.top) / box.height));
            }}
            onKeyDown={(e) => {
                const arrow = ARROWS[e.key];
                const [x, y] = at ?? [0.5, 0.5];
                if (arrow !== undefined) {
                    e.preventDefault();
                    setAt([within(x + arrow[0]), within(y + arrow[1])]);
                } else if (e.key === 'Enter' || e.key === ' ') {
                    e.preventDefault();
                    void look(x, y);
                }
            }}
        />
    );
}
