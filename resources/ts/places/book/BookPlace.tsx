import { StudyPlace } from '../../app/StudyPlace';
import { BookScreen } from './BookScreen';

/** The place "Book": what was done, what worked, the eye, and who looks on. */
export function BookPlace() {
    return (
        <StudyPlace path="/book">
            {(study, onFault) => <BookScreen key={`${study.id}/${study.paper}`} study={study} onFault={onFault} />}
        </StudyPlace>
    );
}
