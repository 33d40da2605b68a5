import { StudyPlace } from '../../app/StudyPlace';
import { DeskScreen } from './DeskScreen';

/** The place "Desk", beside the drawing: from the first pass to "finished". */
export function DeskPlace() {
    return (
        <StudyPlace path="/desk">
            {(study, onFault) => <DeskScreen key={`${study.id}/${study.paper}`} study={study} onFault={onFault} />}
        </StudyPlace>
    );
}
