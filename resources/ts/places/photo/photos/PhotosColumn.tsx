import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import type { Photo } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { NativeSelect, WordButton } from '../../../ui/controls';
import { EditableName } from '../../../ui/EditableName';

const ROLES = ['colour', 'pose', 'detail', 'light'] as const;

const List = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    & li {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 var(--space-3);
        border-top: 1px solid var(--line);
    }
    & li > input {
        min-width: 130px;
        max-width: 150px;
    }
    & label {
        display: inline-flex;
        align-items: center;
        gap: var(--space-1);
        min-height: 44px;
    }
    & input[type='checkbox'] {
        accent-color: #333;
        width: 18px;
        height: 18px;
    }
`;

interface PhotosColumnProps {
    photos: readonly Photo[];
    colourPhoto: number;
    other: Photo | null;
    /** The other photo, to look at beside the first. */
    view: React.ReactNode;
    adding: boolean;
    onOther: (id: number) => void;
    onAdd: (file: File) => void;
    onPhoto: (change: { id: number; name?: string; roles?: Photo['roles'] }) => void;
    onRemove: (id: number) => void;
    onFollow: (id: number) => void;
    onNeutral: (photo: number) => void;
    onPlain: (photo: number) => void;
}

/** The study's photos and what each is for; one of them beside the first. */
export function PhotosColumn(props: PhotosColumnProps) {
    const { photos, colourPhoto, other } = props;
    return (
        <Column aria-label="Photos">
            {other !== null && props.view}
            <PartHead>
                <h2>{photos.length === 1 ? '1 photo' : `${photos.length} photos`}</h2>
                {photos.length > 1 && (
                    <label>
                        Beside it{' '}
                        <NativeSelect
                            value={other?.id ?? ''}
                            onChange={(e) => props.onOther(Number(e.target.value))}
                            aria-label="Photo to compare"
                        >
                            {photos
                                .filter((p) => p.id !== colourPhoto)
                                .map((p) => (
                                    <option key={p.id} value={p.id}>
                                        {p.name}
                                    </option>
                                ))}
                        </NativeSelect>
                    </label>
                )}
                <span className="end">
                    <FileTrigger
                        acceptedFileTypes={['image/*', '.heic', '.heif']}
                        onSelect={(files) => files?.[0] !== undefined && props.onAdd(files[0])}
                    >
                        <WordButton isPending={props.adding}>
                            {props.adding ? 'Opening the photo…' : 'Add a photo of the subject'}
                        </WordButton>
                    </FileTrigger>
                </span>
            </PartHead>
            <List>
                {photos.map((photo) => (
                    <PhotoRow key={photo.id} photo={photo} follows={photo.id === colourPhoto} {...props} />
                ))}
            </List>
        </Column>
    );
}

function PhotoRow({
    photo,
    follows,
    onPhoto,
    onRemove,
    onFollow,
    onNeutral,
    onPlain,
}: { photo: Photo; follows: boolean } & PhotosColumnProps) {
    return (
        <li>
            <EditableName
                label={`Name of the photo ${photo.name}`}
                value={photo.name}
                onChange={(name) => onPhoto({ id: photo.id, name })}
            />
            {ROLES.map((role) => (
                <label key={role}>
                    <input
                        type="checkbox"
                        checked={photo.roles.includes(role)}
                        onChange={(e) =>
                            onPhoto({
                                id: photo.id,
                                roles: e.target.checked ? [...photo.roles, role] : photo.roles.filter((r) => r !== role),
                            })
                        }
                    />
                    {role}
                </label>
            ))}
            {follows ? (
                <>
                    <b>Used for colours.</b>
                    <WordButton onPress={() => onNeutral(photo.id)}>Use the ring as white or grey</WordButton>
                </>
            ) : (
                <>
                    <WordButton onPress={() => onFollow(photo.id)}>Use for colours</WordButton>
                    <WordButton onPress={() => onRemove(photo.id)} aria-label={`Remove the photo ${photo.name}`}>
                        Remove
                    </WordButton>
                </>
            )}
            {photo.neutral !== null && (
                <>
                    <span>Balanced on {photo.neutral.family}.</span>
                    <WordButton onPress={() => onPlain(photo.id)}>Original colours</WordButton>
                </>
            )}
        </li>
    );
}
