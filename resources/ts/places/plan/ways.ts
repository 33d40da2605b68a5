/** What each setting of a way of working is called, and in a line what speaks for each choice; practitioners differ, and each of them is right somewhere. */
export const WAYS: Record<string, { title: string; why: Record<string, string> }> = {
    values: {
        title: 'Order of value',
        why: {
            free: 'Whatever comes nearest.',
            'light-to-dark': 'Lights stay clean, and a mistake can still be darkened.',
            'dark-to-light': 'The drawing stands from the start; pale pencils knit it together.',
            'form-first': 'Shadows modelled first in greys or violet carry a pale local colour.',
        },
    },
    beneath: {
        title: 'Beneath the colour',
        why: {
            any: 'Whatever comes nearest.',
            nothing: 'The purest colour, and the most tooth left.',
            complement: 'The opposite beneath greys a colour without deadening it.',
            'split-complement': 'A neighbour of the opposite keeps more life than the opposite itself.',
            'dark-cool': 'Violet or indigo beneath makes deep, cool darks.',
            'neutral-grey': 'Values are settled first, colour is glazed over them.',
        },
    },
    darks: {
        title: 'Darks',
        why: {
            'black-allowed': 'Black where it comes nearest.',
            'black-last': 'Black only as the last accent, on top.',
            'never-black': 'Darks mixed from colours stay lively.',
        },
    },
    lights: {
        title: 'Lights',
        why: {
            free: 'Whatever comes nearest.',
            'reserve-paper': 'Nothing is lighter than the paper left bare.',
            'pale-first': 'A pale pencil first keeps the place and takes glazes evenly.',
            'white-last': 'An opaque white on top, where the tooth still takes it.',
            lift: 'Laid and then lifted with an eraser: soft lights.',
        },
    },
    neutralising: {
        title: 'Neutralising',
        why: {
            computed: 'Whichever pencil at hand greys this one on this paper, without a green cast.',
            traditional: 'Opposites on the painter’s wheel: red and green, blue and orange, yellow and violet.',
        },
    },
    joining: {
        title: 'Joining',
        why: {
            free: 'As each recipe asks.',
            'light-coats': 'Light coats alone: slow, even, and the tooth is kept.',
            solvent: 'Melts wax into the valleys; open a window, no flame, follow the label and local rules.',
            blender: 'A colourless blender presses the layers together.',
            'light-pencil': 'A pale pencil, pressed, joins and lightens.',
            tissue: 'Rubbing with tissue softens first coats.',
        },
    },
};
