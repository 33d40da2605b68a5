import styled from 'styled-components';
import { useDrawer } from '../../api/studies';
import type { Desk, Study } from '../../api/types';
import type { DeskState } from './deskState';
import { FinishedPart } from './FinishedPart';
import { StopPart } from './lines';
import { OtherPart } from './OtherPart';
import { StepCard } from './StepCard';
import type { DeskWork } from './useDeskWork';

const Answer = styled.p`
    font-size: var(--type-title);
    line-height: 1.25;
    padding: var(--space-3) 0;
`;

interface BesideThePhotoProps {
    study: Study;
    desk: Desk;
    work: DeskWork;
    onLook: (zone: number) => void;
}

/** The pass that is to be laid, or what was asked about instead. */
export function BesideThePhoto({ study, desk, work, onLook }: BesideThePhotoProps) {
    const drawer = useDrawer();
    const { current } = work.state;
    const close = () => work.setBeside('pass');
    if (work.beside === 'finished') {
        return <FinishedPart study={study} desk={desk} onZone={onLook} onClose={close} />;
    }
    if (work.beside === 'stop') {
        return <StopPart desk={desk} state={work.state} onGoOn={close} onStop={work.sitting.end} />;
    }
    if (work.beside === 'other' && current !== null) {
        const others = (drawer.data?.pencils ?? []).filter((p) => !desk.pencils.some((own) => own.id === p.id));
        return (
            <OtherPart
                step={current}
                pencils={desk.pencils}
                finishes={desk.finishes}
                others={others}
                onClose={close}
                onTick={work.tickOther}
            />
        );
    }
    return current === null ? (
        <Answer>{whyNothing(work.state)}</Answer>
    ) : (
        <StepCard step={current} hidden={work.hidden} onHide={work.hide} />
    );
}

function whyNothing(state: DeskState): string {
    if (state.wet.length > 0) {
        return `Wait until “${state.wet[0]?.name ?? ''}” is dry.`;
    }
    return state.pending.length > 0
        ? 'The remaining passes are being planned again.'
        : 'All passes are done. Press “Finished?” to check the drawing.';
}
