<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\Strip;

/** All that a photo of one page of a chart says. */
final readonly class ChartReading
{
    /** @param  list<BoxReading>  $boxes */
    public function __construct(public int $page, public array $boxes, public float $sharpness)
    {
    }

    /**
     * What was coloured in, as swatches by pencil; rows left empty are left out.
     *
     * @return array<string, array<string, BoxReading>> by pencil and kind
     */
    public function swatches(): array
    {
        $found = [];
        foreach ($this->boxes as $reading) {
            if ($reading->filled) {
                $found[$reading->box->pencil][$reading->box->kind->value] = $reading;
            }
        }

        return array_filter($found, static fn (array $kinds): bool => isset($kinds[BoxKind::Heavy->value]));
    }

    /** @return array<string, array<string, string>> the same as #rrggbb */
    public function colours(): array
    {
        return array_map(
            static fn (array $kinds): array => array_map(static fn (BoxReading $r): string => $r->hex(), $kinds),
            $this->swatches(),
        );
    }

    /**
     * The strips that were laid, each try by itself.
     *
     * @param  array<string, Stack>  $stacks  by their text
     * @return list<Strip>
     */
    public function strips(array $stacks): array
    {
        $strips = [];
        foreach ($this->boxes as $reading) {
            $stack = $stacks[$reading->box->pencil] ?? null;
            if ($stack !== null && $reading->filled) {
                $strips[] = new Strip($stack, $reading->lab);
            }
        }

        return $strips;
    }

    /** @return list<string> pencils whose row nothing was laid in */
    public function empty(): array
    {
        $asked = array_unique(array_map(static fn (BoxReading $r): string => $r->box->pencil, $this->boxes));

        return array_values(array_diff($asked, array_keys($this->swatches())));
    }
}
