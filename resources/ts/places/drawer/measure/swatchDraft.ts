import type { Corners } from '../../../ui/FourCorners';

/** A page of swatches as it is being set: kept until the next one, so that a grid that lay askew is set right and not set again. */
export interface SwatchDraft {
    file: File | null;
    corners: Corners;
    rows: string;
    columns: string;
    pencils: string;
    line: string;
    paper: string;
}

export const NO_SWATCHES: SwatchDraft = {
    file: null,
    corners: [
        [0.1, 0.1],
        [0.9, 0.1],
        [0.9, 0.9],
        [0.1, 0.9],
    ],
    rows: '4',
    columns: '6',
    pencils: '',
    line: '',
    paper: 'white medium',
};
