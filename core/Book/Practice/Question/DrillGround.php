<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Question;

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;

/** What questions are made from: somebody's photo, pencils and paper. */
final class DrillGround
{
    /** Places of the photo, or pencils, that are looked at for one that will do. */
    private const PLACES = 24;

    private const PRESSED = [0.35, 0.55, 0.8];

    /** What L* may differ by within a few pixels of an even place. */
    private const EVEN = 4.0;

    private ?ComplementTable $complements = null;

    /** @param  list<Pencil>  $pencils  available, without blenders */
    public function __construct(public readonly PixelGrid $photo, public readonly array $pencils, public readonly Paper $paper)
    {
    }

    public function complements(): ComplementTable
    {
        return $this->complements ??= new ComplementTable($this->pencils, $this->paper);
    }

    /**
     * A place of the photo that one colour stands for, and which is as it is wanted.
     *
     * @param  \Closure(Lab): bool  $wanted
     * @return array{int, Lab}|null pixel and colour; null when no such place was met
     */
    public function place(Chance $chance, \Closure $wanted): ?array
    {
        for ($try = 0; $try < self::PLACES; $try++) {
            $x = (int) $chance->between(1, $this->photo->width - 1.001);
            $y = (int) $chance->between(1, $this->photo->height - 1.001);
            $at = $y * $this->photo->width + $x;
            $lab = $this->photo->lab($at);
            if ($this->isEven($at, $lab) && $wanted($lab)) {
                return [$at, $lab];
            }
        }

        return null;
    }

    private function isEven(int $at, Lab $lab): bool
    {
        foreach ([$at - 1, $at + 1, $at - $this->photo->width, $at + $this->photo->width] as $beside) {
            if ($beside < 0 || $beside >= $this->photo->count() || $this->photo->lab($beside)->deltaE00($lab) > self::EVEN) {
                return false;
            }
        }

        return true;
    }

    /**
     * What one of the pencils lays by itself, which is as it is wanted.
     *
     * @param  \Closure(Lab): bool  $wanted
     */
    public function pencilColour(Chance $chance, \Closure $wanted): ?Lab
    {
        for ($try = 0; $this->pencils !== [] && $try < self::PLACES; $try++) {
            $lab = $this->lab([new Pass($this->pencil($chance), self::PRESSED[(int) $chance->between(0, count(self::PRESSED) - 1e-9)])]);
            if ($wanted($lab)) {
                return $lab;
            }
        }

        return null;
    }

    public function pencil(Chance $chance): Pencil
    {
        return $this->pencils[(int) $chance->between(0, count($this->pencils) - 1e-9)];
    }

    /** @param  list<Pass>  $passes */
    public function lab(array $passes): Lab
    {
        return Lab::ofXyz((new Stack($passes))->on($this->paper)->xyz());
    }

    /**
     * @param  list<Pass>  $passes
     * @return list<string> as a dab, one colour a stratum
     */
    public function dab(array $passes): array
    {
        return (new Stack($passes))->on($this->paper)->dab();
    }

    /** With its value and colour in words, for whoever sees colours otherwise. */
    public static function said(string $words, Lab $lab): string
    {
        return $words.': '.(new ColourReading($lab))->words();
    }

    public static function hex(Lab $lab): string
    {
        return Srgb::ofXyz($lab->xyz())->hex();
    }

    public static function called(Pencil $pencil): string
    {
        return trim($pencil->record->number.' '.$pencil->record->name);
    }
}
