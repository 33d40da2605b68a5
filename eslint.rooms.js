import boundaries from 'eslint-plugin-boundaries';

// The rooms of the page, lowest first: each may use those below it and itself; no place uses another.
const rooms = ['api', 'ui', 'dabs', 'stage', 'app'];
const below = (name) => [...rooms.slice(0, rooms.indexOf(name)), name];
const room = (type) => ({ element: { type } });

export default {
    files: ['resources/ts/**'],
    plugins: { boundaries },
    settings: {
        'boundaries/elements': [
            ...rooms.map((type) => ({ type, pattern: `resources/ts/${type}` })),
            { type: 'place', pattern: 'resources/ts/places/*', capture: ['place'] },
        ],
        'import/resolver': { node: { extensions: ['.ts', '.tsx', '.js'] } },
    },
    rules: {
        'boundaries/dependencies': [
            'error',
            {
                default: 'disallow',
                policies: [
                    ...rooms.map((name) => ({ from: room(name), allow: below(name).map((to) => ({ to: room(to) })) })),
                    { from: room('place'), allow: rooms.map((to) => ({ to: room(to) })) },
                    {
                        from: room('place'),
                        allow: { to: { element: { type: 'place', captured: { place: '{{ from.element.captured.place }}' } } } },
                    },
                ],
            },
        ],
    },
};
