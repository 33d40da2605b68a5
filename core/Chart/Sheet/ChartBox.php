<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Sheet;

/** A box to be coloured in, in millimetres from the top left of the printed sheet. */
final readonly class ChartBox
{
    /** @param  string  $pencil  its identifier, line and number; of a strip, its stack as text */
    public function __construct(
        public string $pencil,
        public BoxKind $kind,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
    }

    /** @return array{pencil: string, kind: string, x: float, y: float, w: float, h: float} */
    public function toArray(): array
    {
        return [
            'pencil' => $this->pencil,
            'kind' => $this->kind->value,
            'x' => $this->x,
            'y' => $this->y,
            'w' => $this->width,
            'h' => $this->height,
        ];
    }
}
