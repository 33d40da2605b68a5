import { Link } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../api/client';
import { useSamplePencils } from '../api/samples';
import { Button, WordButton } from '../ui/controls';
import { ExampleRecipe } from './ExampleRecipe';

const Ways = styled.ul`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: var(--space-4);
    margin: var(--space-3) 0 0;
    padding: 0;
    list-style: none;
    & li {
        display: grid;
        gap: var(--space-2);
        align-content: start;
        justify-items: start;
    }
    & a {
        display: inline-flex;
        align-items: center;
        min-height: var(--touch);
        font-weight: 600;
    }
`;

const Example = styled.div`
    max-width: 460px;
    padding-top: var(--space-5);
`;

export interface FirstPencilsProps {
    onFault: (text: string) => void;
    /** Where the drawer is open already the ways to it are parts of the same place. */
    onWay?: (beside: 'measure' | 'files') => void;
    /** Where nothing else shows what pencils will give. */
    withExample?: boolean;
}

/** The three ways to a first drawer. The sample pencils are one press; one's own, by photo, never more than one away. */
export function FirstPencilWays({ onFault, onWay, withExample = false }: FirstPencilsProps) {
    const samples = useSamplePencils((error) => onFault(sentenceOf(error)));
    const way = (beside: 'measure' | 'files', words: string) =>
        onWay === undefined ? (
            <Link to={`/drawer?beside=${beside}`}>{words}</Link>
        ) : (
            <WordButton onPress={() => onWay(beside)}>{words}</WordButton>
        );
    return (
        <>
            <p>Your drawer is empty. Add a dozen pencils and every photo gives recipes at once.</p>
            <Ways>
                <li>
                    <Button isPending={samples.isPending} onPress={() => samples.mutate()}>
                        {samples.isPending ? 'Adding pencils…' : 'Use sample pencils'}
                    </Button>
                    <span>24 invented pencils, to try everything with.</span>
                </li>
                <li>
                    {way('measure', 'Photograph my pencils')}
                    <span>Print a chart, colour three boxes for each pencil and take one photo: your own pencils, measured.</span>
                </li>
                <li>
                    {way('files', 'Import a file')}
                    <span>A list of numbers and colours that you already have.</span>
                </li>
            </Ways>
            {withExample && (
                <Example>
                    <ExampleRecipe />
                </Example>
            )}
        </>
    );
}
