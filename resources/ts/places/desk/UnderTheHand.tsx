import styled from 'styled-components';
import type { Desk, Study } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { Row } from '../../ui/layout';
import { NextLine } from './lines';
import type { DeskWork } from './useDeskWork';

const Laid = styled.button`
    width: 100%;
    min-height: 84px;
    margin: var(--space-3) 0 var(--space-1);
    border: 0;
    background: var(--ink);
    color: var(--ground);
    font-size: var(--type-title);
    font-weight: 700;
    cursor: pointer;
    touch-action: manipulation;
`;

const COUNT: Record<number, string> = { 2: 'two', 3: 'three', 4: 'four' };

/** What is pressed: one large place for "laid", and the ways out of it. */
export function UnderTheHand({ study, desk, work }: { study: Study; desk: Desk; work: DeskWork }) {
    const { current, next, canUndo } = work.state;
    return (
        <>
            {current !== null && (
                <>
                    <Laid type="button" onClick={() => work.tick('done')}>
                        {current.coats === 1 ? 'Laid' : `Laid, ${COUNT[current.coats] ?? current.coats} coats`}
                    </Laid>
                    <NextLine current={current} next={next} study={study} tools={desk.sessions.flatMap((s) => s.tools)} />
                </>
            )}
            {desk.sessionEnds && desk.steps.length > 0 && (
                <p role="status">
                    Session done: a good place to stop. <WordButton onPress={() => work.setBeside('stop')}>Stop here</WordButton>
                </p>
            )}
            <Row $tight>
                {current !== null && (
                    <>
                        {current.coats > 1 && <WordButton onPress={() => work.tick('done', 1)}>One coat done</WordButton>}
                        <WordButton onPress={() => work.tick('skipped')}>Skip pass</WordButton>
                        <WordButton onPress={() => work.setBeside('other')}>I did something else</WordButton>
                    </>
                )}
                <WordButton isDisabled={!canUndo} onPress={work.back}>
                    Undo last tick
                </WordButton>
            </Row>
        </>
    );
}
