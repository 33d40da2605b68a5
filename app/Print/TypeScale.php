<?php

declare(strict_types=1);

namespace App\Print;

/** The five sizes of type of a printed sheet, as on the screen: number, title, text, small, figure. */
final readonly class TypeScale
{
    public string $number;

    public string $title;

    public string $text;

    public string $small;

    public string $figure;

    /**
     * @param  float  $scale  of a sheet smaller or larger than A4
     * @param  float  $least  points that no size goes below: it is read at the desk
     */
    public function __construct(float $scale, float $least)
    {
        $points = static fn (float $size): string => round(max($least, $size * $scale), 2).'pt';
        $this->number = $points(13);
        $this->title = $points(14);
        $this->text = $points(8.5);
        $this->small = $points(7.5);
        $this->figure = $points(6.5);
    }
}
