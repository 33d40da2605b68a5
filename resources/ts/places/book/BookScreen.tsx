import styled from 'styled-components';
import type { Study } from '../../api/types';
import { Tabs } from '../../ui/controls';
import { SideBar } from '../../ui/layout';
import { useInAddress } from '../../ui/useInAddress';
import { LogView } from './log/LogView';
import { PracticeView } from './practice/PracticeView';
import { AccountPart } from './share/AccountPart';
import { ShareView } from './share/ShareView';
import { RecipesView } from './recipes/RecipesView';

const PARTS = [
    { value: 'log', label: 'Log' },
    { value: 'recipes', label: 'Recipes' },
    { value: 'practice', label: 'Practice' },
    { value: 'share', label: 'Share' },
] as const;

const Whole = styled.main`
    min-width: 0;
`;

interface BookScreenProps {
    study: Study;
    onFault: (text: string) => void;
}

export function BookScreen({ study, onFault }: BookScreenProps) {
    const [part, setPart] = useInAddress('part', PARTS, 'log');
    return (
        <Whole>
            <SideBar>
                <Tabs label="In the book" value={part} options={PARTS} onChange={setPart} />
            </SideBar>
            {part === 'log' && <LogView study={study} onFault={onFault} />}
            {part === 'practice' && <PracticeView study={study} />}
            {part === 'share' && (
                <>
                    <ShareView study={study} onFault={onFault} />
                    <AccountPart />
                </>
            )}
            {part === 'recipes' && <RecipesView study={study} onFault={onFault} />}
        </Whole>
    );
}
