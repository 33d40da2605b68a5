import styled from 'styled-components';
import type { Study } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { NextLine } from './lines';
import type { DeskWork } from './useDeskWork';

const Laid = styled.button`
    width: 100%;
    min-height: 84px;
    margin: 10px 0 4px;
    border: 0;
    background: var(--ink);
    color: var(--ground);
    font-size: 30px;
    font-weight: 700;
    cursor: pointer;
    touch-action: manipulation;
`;

const COUNT: Record<number, string> = { 2: 'two', 3: 'three', 4: 'four' };

/** What is pressed: one large place for "laid", and the ways out of it. */
export function UnderTheHand({ study, work, ends }: { study: Study; work: DeskWork; ends: boolean }) {
    const { current, next, canUndo } = work.state;
    return (
        <>
            {current !== null && (
                <>
                    <Laid type="button" onClick={() => work.tick('done')}>
                        {current.coats === 1 ? 'Laid' : `Laid, ${COUNT[current.coats] ?? current.coats} coats`}
                    </Laid>
                    <NextLine current={current} next={next} study={study} />
                    {current.coats > 1 && <WordButton onPress={() => work.tick('done', 1)}>One coat so far</WordButton>}
                    <WordButton onPress={() => work.tick('skipped')}>Skip it</WordButton>
                    <WordButton onPress={() => work.setBeside('other')}>I did something else</WordButton>
                </>
            )}
            {ends && (
                <p role="status">
                    This session is done: a good place to stop. <WordButton onPress={() => work.setBeside('stop')}>Stop here</WordButton>
                </p>
            )}
            <WordButton isDisabled={!canUndo} onPress={work.back}>
                Take the last tick back
            </WordButton>
        </>
    );
}
