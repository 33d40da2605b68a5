import { FileTrigger } from 'react-aria-components';
import { Link } from 'react-router';
import type { Study } from '../api/types';
import { NativeSelect, WordButton } from '../ui/controls';

interface StudyBarProps {
    studies: readonly Study[];
    study: Study | undefined;
    papers: readonly string[];
    opening?: boolean;
    onChoose: (study: Study) => void;
    onPaper: (paper: string) => void;
    /** Only where a photo can be opened. */
    onPhoto?: (file: File) => void;
}

/** The study that one is in, its paper, and the way to another. */
export function StudyBar({ studies, study, papers, opening = false, onChoose, onPaper, onPhoto }: StudyBarProps) {
    if (study === undefined) {
        return null;
    }
    return (
        <>
            <label>
                <span>Study</span>
                <NativeSelect
                    $width={190}
                    value={study.id}
                    onChange={(e) => {
                        const chosen = studies.find((s) => s.id === Number(e.target.value));
                        if (chosen !== undefined) {
                            onChoose(chosen);
                        }
                    }}
                >
                    {studies.map((s) => (
                        <option key={s.id} value={s.id}>
                            {s.name}
                        </option>
                    ))}
                </NativeSelect>
            </label>
            <label>
                <span>Paper</span>
                <NativeSelect value={study.paper} onChange={(e) => onPaper(e.target.value)}>
                    {papers.map((p) => (
                        <option key={p}>{p}</option>
                    ))}
                </NativeSelect>
            </label>
            {study.hand !== null && (
                <Link to={`/drawer?beside=hand&paper=${encodeURIComponent(study.paper)}&planOf=${study.id}`} title={study.hand}>
                    calibrated hand
                </Link>
            )}
            {onPhoto !== undefined && (
                <FileTrigger
                    acceptedFileTypes={['image/*', '.heic', '.heif']}
                    onSelect={(files) => files?.[0] !== undefined && onPhoto(files[0])}
                >
                    <WordButton isPending={opening}>{opening ? 'Opening the photo…' : 'Another photo'}</WordButton>
                </FileTrigger>
            )}
        </>
    );
}
