<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\Texture;

/** A named area of the photo, and what it asks for. */
final readonly class Zone
{
    /**
     * @param  float  $area  share of the picture, 0–1
     * @param  array{float, float, float, float}  $box  left, top, right, bottom as shares of the picture
     * @param  array<string, Lab>  $shades  by shade: light, mid, dark, and its touches
     * @param  list<Touch>  $touches
     * @param  float  $keptWhite  share of the zone that is the paper's own white
     * @param  Surface  $surface  as it looks, or as someone says
     * @param  array<string, string>  $called  what someone calls shades of the value run, by shade
     */
    public function __construct(
        public string $name,
        public float $area,
        public array $box,
        public array $shades,
        public float $keptWhite,
        public Surface $surface,
        public array $touches = [],
        private array $called = [],
    ) {
    }

    /**
     * @param  list<int>  $pixels
     * @param  array<string, float>  $places  of shades that were moved; see {@see ShadeColours::of()}
     * @param  ?string  $whites  see {@see KeptWhites::on()}
     * @param  ?list<TouchNote>  $placed  touches that someone placed; null for those found
     */
    public static function measured(
        PixelGrid $grid,
        array $pixels,
        string $name = '',
        array $places = [],
        ?string $whites = null,
        ?array $placed = null,
        RunNote $run = new RunNote(),
    ): self {
        $n = max(1, count($pixels));
        $x = array_map(static fn (int $at): int => $at % $grid->width, $pixels);
        $y = array_map(static fn (int $at): int => intdiv($at, $grid->width), $pixels);
        $whites ??= (new KeptWhites())->on($grid);
        $white = array_filter($pixels, static fn (int $at): bool => $whites[$at] === "\1");
        $touches = self::touchesOf($grid, $pixels, $places, $placed, $whites);
        // What a touch is made of is no part of the value run, unless nothing else is left.
        $touched = array_fill_keys(array_merge(...array_map(static fn (Touch $t): array => $t->pixels, $touches)), true);
        $rest = array_values(array_filter($pixels, static fn (int $at): bool => ! isset($touched[$at])));
        $shades = ShadeColours::of($grid, count($rest) > count($pixels) / 4 ? $rest : $pixels, $places, $run->dropped);
        foreach ($touches as $touch) {
            $shades[$touch->shade->value] = $touch->lab;
        }

        return new self(
            $name,
            $n / $grid->count(),
            [
                min($x ?: [0]) / $grid->width,
                min($y ?: [0]) / $grid->height,
                (max($x ?: [0]) + 1) / $grid->width,
                (max($y ?: [0]) + 1) / $grid->height,
            ],
            $shades,
            count($white) / $n,
            Surface::likely(Texture::of($grid, $pixels)),
            $touches,
            $run->names,
        );
    }

    /**
     * @param  list<int>  $pixels
     * @param  array<string, float>  $places
     * @param  ?list<TouchNote>  $placed
     * @return list<Touch>
     */
    private static function touchesOf(PixelGrid $grid, array $pixels, array $places, ?array $placed, string $whites): array
    {
        $find = new FindTouches($grid);
        if ($placed !== null) {
            return $find->placed($pixels, $placed);
        }
        if (isset($places[ShadeName::Touch->value])) {
            return [$find->atValue($pixels, ShadeColours::atPlace($grid, $pixels, $places[ShadeName::Touch->value]))];
        }

        // What is kept white is no colour to lay.
        return $find->in(array_values(array_filter($pixels, static fn (int $at): bool => $whites[$at] !== "\1")));
    }

    public function named(string $name): self
    {
        return new self($name, $this->area, $this->box, $this->shades, $this->keptWhite, $this->surface, $this->touches, $this->called);
    }

    public function being(Surface $surface): self
    {
        return new self($this->name, $this->area, $this->box, $this->shades, $this->keptWhite, $surface, $this->touches, $this->called);
    }

    public function touch(ShadeName $shade): ?Touch
    {
        return array_values(array_filter($this->touches, static fn (Touch $t): bool => $t->shade === $shade))[0] ?? null;
    }

    /** What someone calls a shade; empty for one that is called by its place. */
    public function nameOf(ShadeName $shade): string
    {
        return $this->touch($shade)->name ?? ($this->called[$shade->value] ?? '');
    }

    /** Share of the zone that a shade stands for. */
    public function shareOf(ShadeName $shade): float
    {
        return $this->touch($shade)->share ??
            $shade->share() * (1.0 - min(0.6, array_sum(array_map(static fn (Touch $t): float => $t->share, $this->touches))));
    }
}
