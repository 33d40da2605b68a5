import { DropZone, FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Link } from 'react-router';
import { useDrawer } from '../../api/studies';
import { FirstPencils } from '../../app/FirstPencils';
import { Button } from '../../ui/controls';

import { usePastedPhoto } from './usePastedPhoto';
import { droppedFile } from '../../ui/droppedFile';

const Place = styled.main`
    flex: 1;
    display: grid;
    place-items: center;
    padding: 24px;
    & > div {
        width: min(620px, 100%);
        padding: 56px 32px;
        border: 1.5px dashed var(--strong-line);
        display: grid;
        gap: 16px;
        justify-items: start;
    }
    & > section {
        width: min(620px, 100%);
        padding: 24px 0;
    }
    & > section a {
        font-weight: 700;
        padding: 11px 0;
    }
    & > div[data-drop-target] {
        border-style: solid;
    }
    & h1 {
        font-size: var(--size-title);
    }
`;

interface EmptyPlaceProps {
    opening: boolean;
    onPhoto: (file: File) => void;
}

/** What a new account sees: the one thing to do first. */
export function EmptyPlace({ opening, onPhoto }: EmptyPlaceProps) {
    usePastedPhoto(onPhoto);
    const drawer = useDrawer();
    return (
        <Place>
            <DropZone onDrop={(e) => void droppedFile(e.items).then((file) => file !== null && onPhoto(file))}>
                <h1>Start with the photo you want to draw from</h1>
                <p>
                    Drop it here, paste it, or choose a file: JPEG, PNG, WebP, TIFF or HEIC, up to 50 megapixels. It stays on this machine.
                </p>
                <FileTrigger
                    acceptedFileTypes={['image/*', '.heic', '.heif']}
                    onSelect={(files) => files?.[0] !== undefined && onPhoto(files[0])}
                >
                    <Button $main isPending={opening}>
                        {opening ? 'Taking the photo in…' : 'Choose a photo'}
                    </Button>
                </FileTrigger>
            </DropZone>
            {drawer.data?.pencils.length === 0 && (
                <section aria-label="First pencils">
                    <FirstPencils way={(beside, words) => <Link to={`/drawer?beside=${beside}`}>{words}</Link>} />
                </section>
            )}
        </Place>
    );
}
