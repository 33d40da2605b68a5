import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Button, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { Reading } from '../../../ui/Reading';
import { readAs, type Said, type useHand } from './useHand';

const Photo = styled.img`
    display: block;
    max-width: 100%;
    height: 220px;
    object-fit: contain;
    object-position: left;
`;

/** The strips on a printed sheet, by its photo. */
export function ByPhoto({ state, onRead }: { state: ReturnType<typeof useHand>; onRead: (said: Record<string, Said>) => void }) {
    const isReading = state.photograph.isPending || state.makeUp.isPending;
    // What another photo said is no longer shown.
    const photograph = (file: File) => {
        state.makeUp.reset();
        state.photograph.mutate(file, { onSuccess: (r) => onRead(readAs(r)) });
    };
    const makeUp = () => {
        state.photograph.reset();
        state.makeUp.mutate(undefined, { onSuccess: (r) => onRead(readAs(r)) });
    };
    const notes = [...new Set((state.photograph.data ?? state.makeUp.data)?.boxes.flatMap((b) => b.note ?? []) ?? [])];
    return (
        <>
            <Row>
                <a href={`/api/hand/strips.pdf?${state.on}`} target="_blank" rel="noreferrer">
                    Print a strip page
                </a>
                <FileTrigger acceptedFileTypes={['image/*']} onSelect={(files) => files?.[0] !== undefined && photograph(files[0])}>
                    <Button isPending={isReading}>Choose a photo of it</Button>
                </FileTrigger>
                <WordButton isPending={isReading} onPress={makeUp}>
                    Try with a simulated photo
                </WordButton>
            </Row>
            <div role="alert">{state.fault !== null && <p>{state.fault}</p>}</div>
            <div role="status">
                {isReading && <Reading words="Reading the photo…" onCancel={state.takeBack} />}
                {notes.map((note) => (
                    <p key={note}>{note}</p>
                ))}
            </div>
            {state.makeUp.data?.photo !== undefined && <Photo src={state.makeUp.data.photo} alt="The simulated photo" />}
        </>
    );
}
