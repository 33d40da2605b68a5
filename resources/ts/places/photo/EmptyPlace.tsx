import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useDrawer } from '../../api/studies';
import { sentenceOf } from '../../api/client';
import { samplePhoto } from '../../api/samples';
import { ExampleRecipe } from '../../app/ExampleRecipe';
import { FirstPencils } from '../../app/FirstPencils';
import { Button, WordButton } from '../../ui/controls';

import { Row } from '../../ui/layout';
import { usePastedPhoto } from './usePastedPhoto';
import { FileDrop } from '../../ui/FileDrop';

const Place = styled.main`
    flex: 1;
    width: min(1080px, 100%);
    margin: 0 auto;
    padding: var(--space-5);
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
    gap: var(--space-5) var(--space-6);
    align-content: start;
    & > div {
        padding: var(--space-6);
        border: 1.5px dashed var(--strong-line);
        display: grid;
        gap: var(--space-4);
        justify-items: start;
    }
    & > div[data-drop-target] {
        border-style: solid;
    }
    & > .pencils {
        grid-column: 1 / -1;
        border-top: 1.5px solid var(--strong-line);
        padding-top: var(--space-4);
    }
    & h1 {
        font-size: var(--type-title);
    }
    @media (max-width: 799px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

interface EmptyPlaceProps {
    opening: boolean;
    onPhoto: (file: File) => void;
    onFault: (text: string) => void;
}

/** What a new account sees: a photo and pencils to begin with, and what comes of them. */
export function EmptyPlace({ opening, onPhoto, onFault }: EmptyPlaceProps) {
    usePastedPhoto(onPhoto);
    const drawer = useDrawer();
    return (
        <Place>
            <FileDrop onFile={onPhoto}>
                <h1>Start with the photo you want to draw</h1>
                <p>
                    Drop it here, paste it, or choose a file: JPEG, PNG, WebP, TIFF or HEIC, up to 50 megapixels. It stays on this machine.
                </p>
                <Row>
                    <FileTrigger
                        acceptedFileTypes={['image/*', '.heic', '.heif']}
                        onSelect={(files) => files?.[0] !== undefined && onPhoto(files[0])}
                    >
                        <Button $main isPending={opening}>
                            {opening ? 'Opening the photo…' : 'Choose a photo'}
                        </Button>
                    </FileTrigger>
                    <WordButton
                        isDisabled={opening}
                        onPress={() => void samplePhoto().then(onPhoto, (error: unknown) => onFault(sentenceOf(error)))}
                    >
                        Use the sample photo
                    </WordButton>
                </Row>
            </FileDrop>
            <ExampleRecipe />
            {drawer.data?.pencils.length === 0 && (
                <section className="pencils" aria-label="First pencils">
                    <FirstPencils onFault={onFault} />
                </section>
            )}
        </Place>
    );
}
