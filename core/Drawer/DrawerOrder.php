<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** The order in which pencils lie in a drawer, and how far each is from the next. */
final readonly class DrawerOrder
{
    public const KINDS = ['gradual', 'number', 'value', 'family'];

    /** @var list<float> ΔE00 from each pencil to the next: one fewer than pencils */
    public array $steps;

    /** @param  list<Portrait>  $portraits */
    private function __construct(public array $portraits)
    {
        $steps = [];
        for ($i = 1; $i < count($portraits); $i++) {
            $steps[] = $portraits[$i - 1]->heavy->deltaE00($portraits[$i]->heavy);
        }
        $this->steps = $steps;
    }

    /**
     * @param  list<Pencil>  $pencils
     * @param  string  $kind  one of {@see self::KINDS}
     */
    public static function of(array $pencils, string $kind = 'gradual'): self
    {
        $portraits = array_map(static fn (Pencil $p): Portrait => new Portrait($p), $pencils);

        return new self(
            match ($kind) {
                'number' => self::by(
                    $portraits,
                    static fn (Portrait $p): array => [$p->pencil->record->line, self::padded($p->pencil->record->number)],
                ),
                'value' => self::by($portraits, static fn (Portrait $p): array => [-$p->heavy->l]),
                'family' => self::by($portraits, static fn (Portrait $p): array => [self::familyPlace($p), $p->heavy->l]),
                default => self::gradual($portraits),
            },
        );
    }

    public function mean(): float
    {
        return $this->steps === [] ? 0.0 : array_sum($this->steps) / count($this->steps);
    }

    /** @return array{int, float} after which pencil the largest step comes, and how large it is */
    public function largest(): array
    {
        $largest = [0, 0.0];
        foreach ($this->steps as $i => $step) {
            if ($step > $largest[1]) {
                $largest = [$i, $step];
            }
        }

        return $largest;
    }

    /**
     * Colours on the ring, browns, and greys with white and black, each in a run of its own, and the whole on the shortest way.
     *
     * @param  list<Portrait>  $portraits
     * @return list<Portrait>
     */
    private static function gradual(array $portraits): array
    {
        $run = static fn (Portrait $p): string => $p->reading->family->base === 'brown'
            ? 'browns'
            : ($p->reading->family->isChromatic()
                ? 'ring'
                : 'greys');
        $way = ColourPath::through(array_map(static fn (Portrait $p): Lab => $p->heavy, $portraits), array_map($run, $portraits));

        return array_map(static fn (int $i): Portrait => $portraits[$i], $way);
    }

    /**
     * @param  list<Portrait>  $portraits
     * @param  \Closure(Portrait): list<mixed>  $key
     * @return list<Portrait>
     */
    private static function by(array $portraits, \Closure $key): array
    {
        usort($portraits, static fn (Portrait $a, Portrait $b): int => $key($a) <=> $key($b));

        return $portraits;
    }

    /** Round the ring by hue, then browns, then greys. */
    private static function familyPlace(Portrait $p): int
    {
        $family = $p->reading->family;
        $bases = ['red', 'orange', 'yellow', 'green', 'blue', 'violet', 'brown', 'grey', 'white', 'black'];
        $lean =
            $family->lean === null
                ? 1
                : (fmod(Oklch::ofLab($p->heavy)->hueDegrees - self::middleOf($family->base) + 540, 360) < 180
                    ? 0
                    : 2);

        return 3 * (int) array_search($family->base, $bases, true) + $lean;
    }

    /** A hue within each base that is neither leaning back nor on, degrees. */
    private static function middleOf(string $base): float
    {
        return [
            'red' => 20.0,
            'orange' => 63.0,
            'yellow' => 104.0,
            'green' => 150.0,
            'blue' => 248.0,
            'violet' => 308.0,
            'brown' => 60.0,
        ][$base] ?? 90.0;
    }

    private static function padded(string $number): string
    {
        return (string) preg_replace_callback('/\d+/', static fn (array $m): string => str_pad($m[0], 8, '0', STR_PAD_LEFT), $number);
    }
}
