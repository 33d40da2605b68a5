import { StudyPlace } from '../../app/StudyPlace';
import { PlanScreen } from './PlanScreen';

/** The place "Plan": the study that one was in, from zones to a plan. */
export function PlanPlace() {
    return (
        <StudyPlace path="/plan">
            {(study, onFault) => <PlanScreen key={`${study.id}/${study.paper}`} study={study} onFault={onFault} />}
        </StudyPlace>
    );
}
