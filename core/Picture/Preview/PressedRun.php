<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Swatches\Coat;
use KnottyPrism\Core\Photo\Zones\BetweenValues;

/**
 * How a zone's passes are pressed at every value of its run: between two shades as the value lies between theirs, by the eye ({@see
 * ByEye}).
 */
final readonly class PressedRun
{
    /** What one pressure is, roughly, of pressure. */
    private const A_STEP = 0.2;

    /** @var list<float> L* of the shades */
    private array $values;

    /** @var list<?ByEye> from each shade to the next; null when the two have no passes in common */
    private array $eyes;

    /** @param  list<DrawnShade>  $run  darkest first */
    public function __construct(private array $run, Paper $paper)
    {
        $this->values = array_map(static fn (DrawnShade $s): float => $s->seen->l, $run);
        // By the whole sequence, as the picture is to be when all is laid, and by daylight: under which lamp it is looked at later changes
        // nothing of what was laid.
        $byDay = new LaidTones($paper, Illuminant::D65);
        $eyes = [];
        for ($at = 1; $at < count($run); $at++) {
            [$dark, $light] = [$run[$at - 1], $run[$at]];
            $eyes[] = $dark->goesWith($light)
                ? ByEye::between(
                    static fn (float $share): float => $byDay->laid(self::graded($dark, $light, $share), PHP_INT_MAX)->lightness(),
                )
                : null;
        }
        $this->eyes = $eyes;
    }

    /** @return array{int, int} up to which values a hand goes on as it was going: half of the way to the next shade, where there is one */
    public function reach(): array
    {
        [$lowest, $highest] = LaidTones::reach($this->values);

        return [(int) floor($lowest), (int) ceil($highest)];
    }

    /** L* halfway from the darkest shade to the lightest. */
    public function middle(): float
    {
        return ($this->values[0] + $this->values[count($this->values) - 1]) / 2;
    }

    /**
     * @return array{DrawnShade, DrawnShade, float} the darker and the lighter of the shades around a value, and how far it lies between
     *   them; below 0 and above 1 beyond the ends
     */
    public function around(float $level): array
    {
        [$from, $share] = $this->place($level);

        return [$this->run[$from], $this->run[min($from + 1, count($this->run) - 1)], $share];
    }

    /** @return list<Coat|Finish|null>|null what each pass lays at a value; null when the shades around it have no passes in common */
    public function coats(float $level): ?array
    {
        [$from, $share] = $this->place($level);
        [$dark, $light] = $this->around($level);
        if (! $dark->goesWith($light)) {
            return null;
        }

        return self::graded($dark, $light, isset($this->eyes[$from]) ? $this->eyes[$from]->share($share) : 0.0);
    }

    /** @return array{int, float} the shade from which a value lies on, and how far */
    private function place(float $level): array
    {
        [$from, $to, $share] = BetweenValues::of($this->values, $level);
        if ($from === $to && count($this->run) > 1) {
            // Beyond the ends, as between the last two.
            $from = max(0, $from - 1);
            $to = $from + 1;
            $share =
                $this->values[$to] > $this->values[$from]
                    ? ($level - $this->values[$from]) / ($this->values[$to] - $this->values[$from])
                    : 0.0;
        }

        return [$from, $share];
    }

    /** @return list<Coat|Finish|null> */
    private static function graded(DrawnShade $dark, DrawnShade $light, float $share): array
    {
        return array_map(
            static fn (Pass|Finish|null $a, Pass|Finish|null $b): Coat|Finish|null => self::between($a, $b, $share),
            $dark->steps,
            $light->steps,
        );
    }

    private static function between(Pass|Finish|null $dark, Pass|Finish|null $light, float $share): Coat|Finish|null
    {
        if ($dark instanceof Finish || $light instanceof Finish) {
            $step = $share < 0.5 ? $dark : $light;

            return $step instanceof Pass ? new Coat($step, 1.0) : $step;
        }
        $pencil = $dark->pencil ?? $light?->pencil;
        if ($pencil === null) {
            return null;
        }
        [$a, $b] = [$dark->pressure ?? 0.0, $light->pressure ?? 0.0];
        $pressure = $a + $share * ($b - $a);

        return self::pressed(
            new Pass($pencil, max($a, $b)),
            max(0.0, min(1.0, max(min($a, $b) - self::A_STEP, min(max($a, $b) + self::A_STEP, $pressure)))),
        );
    }

    /** No hand is lighter than a whisper: strokes stand farther apart. Nothing for no pressure. */
    private static function pressed(Pass $pass, float $pressure): ?Coat
    {
        $whisper = Pressure::Whisper->share();

        return $pressure <= 0.0 ? null : new Coat(new Pass($pass->pencil, max($whisper, $pressure)), min(1.0, $pressure / $whisper));
    }

    /**
     * Coats where a zone runs out into another.
     *
     * @param  list<Coat|Finish|null>  $coats
     * @param  float  $share  0–1: how much of each is laid
     * @return list<Coat|Finish|null>
     */
    public static function runOut(array $coats, float $share): array
    {
        return array_map(
            static fn (Coat|Finish|null $c): Coat|Finish|null => $c instanceof Coat
                ? self::pressed($c->pass, $share * $c->pass->pressure * $c->coverage)
                : ($share >= 0.5
                    ? $c
                    : null),
            $coats,
        );
    }
}
