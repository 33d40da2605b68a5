import type { Look } from './look/lookState';

/** A place on a photo as shares of its width and height. */
export interface Place {
    x: number;
    y: number;
}

/** Which way round a photo is shown: a mirror turns left and right, upside down turns both. */
export interface Flip {
    x: boolean;
    y: boolean;
}

export const flipOf = (look: Pick<Look, 'mirror' | 'turned'>): Flip => ({ x: look.mirror !== look.turned, y: look.turned });

/** From the photo to the screen, and from the screen to the photo: the same either way. */
export const flipped = ({ x, y }: Place, flip: Flip): Place => ({ x: flip.x ? 1 - x : x, y: flip.y ? 1 - y : y });

export const cssFlip = (flip: Flip): string => `scale(${flip.x ? -1 : 1}, ${flip.y ? -1 : 1})`;
