import { Fragment, type ReactNode } from 'react';
import styled from 'styled-components';

const Ways = styled.div`
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 10px 14px;
    align-items: center;
    margin-top: 12px;
`;

const WAYS = [
    ['measure', 'Photograph my pencils', 'Print a sheet, colour three boxes a pencil, take one photo: your own pencils, measured.'],
    ['files', 'Bring a file', 'A list of numbers and colours that you have already.'],
    ['files', 'Begin with the sample lines', 'Invented pencils, to look around with.'],
] as const;

export type WayToPencils = (typeof WAYS)[number][0];

interface FirstPencilsProps {
    /** What is pressed for a way: on the spot, or a link to where it is. */
    way: (beside: WayToPencils, words: string, isFirst: boolean) => ReactNode;
}

/** What a new account sees: the three ways to a drawer, and what comes of it. */
export function FirstPencils({ way }: FirstPencilsProps) {
    return (
        <>
            <p>The drawer is empty. With a dozen pencils in it, a photo gives recipes at once. There are three ways:</p>
            <Ways>
                {WAYS.map(([beside, words, what], i) => (
                    <Fragment key={words}>
                        {way(beside, words, i === 0)}
                        <span>{what}</span>
                    </Fragment>
                ))}
            </Ways>
        </>
    );
}
