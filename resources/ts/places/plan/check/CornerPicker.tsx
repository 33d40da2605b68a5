import { useState } from 'react';
import { Button } from '../../../ui/controls';
import { FourCorners, type Corners } from '../../../ui/FourCorners';
import { Row } from '../../../ui/layout';
import { usePicture } from '../../../ui/usePicture';

const AT_FIRST: Corners = [
    [0.15, 0.15],
    [0.85, 0.15],
    [0.85, 0.85],
    [0.15, 0.85],
];

interface CornerPickerProps {
    file: File;
    isPending: boolean;
    onRead: (corners: Corners) => void;
}

/** The four corners of the drawing, set where they are in its photo. */
export function CornerPicker({ file, isPending, onRead }: CornerPickerProps) {
    const [corners, setCorners] = useState<Corners>(AT_FIRST);
    return (
        <>
            <p>Set the four corners of the drawing, the first where its own top left is, and have it read once more.</p>
            <FourCorners
                src={usePicture(file)}
                alt="The photo that could not be read"
                of="the drawing"
                corners={corners}
                onCorners={setCorners}
            />
            <Row>
                <Button $main isPending={isPending} onPress={() => onRead(corners)}>
                    Read it with these corners
                </Button>
            </Row>
        </>
    );
}
