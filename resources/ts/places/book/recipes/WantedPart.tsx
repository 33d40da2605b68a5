import styled from 'styled-components';
import { useStudies } from '../../../api/studies';
import { NativeSelect, TextInput, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { usePencils, type Wanted } from './queries';

const Like = styled.i`
    width: 44px;
    height: 28px;
`;

interface WantedPartProps {
    wanted: Wanted;
    likeWords: string;
    onWanted: (wanted: Wanted) => void;
}

/** What is looked for besides: words, a pencil, a paper. */
export function WantedPart({ wanted, likeWords, onWanted }: WantedPartProps) {
    const papers = useStudies().data?.papers ?? [];
    const pencils = usePencils().data?.pencils ?? [];
    return (
        <>
            {wanted.like !== null && (
                <Row $tight role="status">
                    <Like style={{ background: wanted.like }} />
                    <span>like this: {likeWords}</span>
                    <WordButton onPress={() => onWanted({ ...wanted, like: null })}>any colour</WordButton>
                </Row>
            )}
            <Row>
                <TextInput
                    aria-label="Words"
                    placeholder="words: sky, rust, wet stone"
                    value={wanted.words}
                    maxLength={200}
                    onChange={(e) => onWanted({ ...wanted, words: e.target.value })}
                />
                <NativeSelect
                    $width={180}
                    aria-label="With the pencil"
                    value={wanted.pencil}
                    onChange={(e) => onWanted({ ...wanted, pencil: e.target.value })}
                >
                    <option value="">with any pencil</option>
                    {pencils.map((p) => (
                        <option key={p.id} value={p.id}>
                            {p.number} {p.name}
                        </option>
                    ))}
                </NativeSelect>
                <NativeSelect
                    $width={160}
                    aria-label="On the paper"
                    value={wanted.paper}
                    onChange={(e) => onWanted({ ...wanted, paper: e.target.value })}
                >
                    <option value="">on any paper</option>
                    {papers.map((p) => (
                        <option key={p}>{p}</option>
                    ))}
                </NativeSelect>
            </Row>
        </>
    );
}
