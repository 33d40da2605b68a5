/** "3 h 05", "40 min" */
export const inHours = (minutes: number): string => {
    const whole = Math.round(minutes);
    return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
};

/** Of pencil, in one unit, so that a column can be compared: "0.4 mm", "131 mm" */
export const inLength = (mm: number): string => `${mm < 10 ? mm.toFixed(1) : Math.round(mm)} mm`;

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });
const HOUR = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** "Wednesday 25 November 2026, 19:00 to 20:10" */
export const when = (began: number, ended: number): string =>
    `${DAY.format(began * 1000)}, ${HOUR.format(began * 1000)} to ${HOUR.format(ended * 1000)}`;

const SHORT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** "25 Nov 2026" */
export const onDay = (at: number): string => SHORT.format(at * 1000);
