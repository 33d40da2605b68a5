<?php

declare(strict_types=1);

namespace Benchmarks\Seen;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Photo\Zones\BetweenValues;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\Preview\DrawnShade;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\LaidTones;
use KnottyPrism\Core\Picture\Preview\Material;
use KnottyPrism\Core\Picture\Preview\PressedRun;
use KnottyPrism\Core\Picture\Preview\Tone;

/**
 * What a plan's shades ask for beside what its stacks come to: which of a picture's distance from its photo the drawing loses, and which
 * the plan.
 */
final readonly class Asked
{
    /** @var list<list<Lab>> colours asked for, by look and L* of the photo */
    private array $wanted;

    /** @var list<list<array{float, float, float}>> linear light foreseen there */
    private array $foreseen;

    public function __construct(PlannedPicture $plan, private Material $material)
    {
        $tones = new LaidTones($plan->paper, Illuminant::D65);
        $wanted = $foreseen = [];
        foreach (DrawnZone::all($plan) as $zone) {
            $wanted[] = array_map(static fn (int $level): Lab => self::between($zone->run, $level), range(0, LaidTones::LEVELS - 1));
            $foreseen[] = self::means($tones->over(new PressedRun($zone->run, $plan->paper), PHP_INT_MAX));
            foreach ($zone->touches as $touch) {
                $wanted[] = array_fill(0, LaidTones::LEVELS, $touch->seen);
                $foreseen[] = self::means($tones->over(new PressedRun([$touch], $plan->paper), PHP_INT_MAX));
            }
        }
        [$this->wanted, $this->foreseen] = [$wanted, $foreseen];
    }

    /**
     * @param  list<Tone>  $tones
     * @return list<array{float, float, float}>
     */
    private static function means(array $tones): array
    {
        return array_map(static fn (Tone $tone): array => $tone->mean, $tones);
    }

    /** @param  list<DrawnShade>  $run  darkest first */
    private static function between(array $run, int $level): Lab
    {
        $values = array_map(static fn (DrawnShade $s): float => $s->seen->l, $run);
        [$from, $to, $share] = BetweenValues::of($values, $level);
        [$darkest, $lightest] = LaidTones::reach($values);
        [$dark, $pale] = [$run[$from]->seen, $run[$to]->seen];

        return new Lab(
            max($darkest, min($lightest, $level)),
            $dark->a + $share * ($pale->a - $dark->a),
            $dark->b + $share * ($pale->b - $dark->b),
        );
    }

    /**
     * A picture in the same grain as if every stack came to the colour of its shade in the photo: what is lost by so few shades and
     * touches, and not by the plan.
     *
     * @param  string  $drawn  the picture as planned, RGB bytes
     */
    public function met(string $drawn): string
    {
        $decode = array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
        $light = static fn (Lab $lab): array => array_map(
            static fn (int $v): float => $decode[$v],
            array_values((array) unpack('C3', (string) hex2bin(substr(Srgb::ofXyz($lab->xyz())->hex(), 1)))),
        );
        $wanted = array_map(static fn (array $of): array => array_map($light, $of), $this->wanted);
        $met = '';
        for ($at = 0; $at < $this->material->width * $this->material->height; $at++) {
            [$look, $level] = [ord($this->material->looks[$at]), ord($this->material->levels[$at])];
            $mean = $this->foreseen[$look][$level];
            for ($c = 0; $c < 3; $c++) {
                $met .= chr(
                    (int) round(
                        255 *
                            Srgb::encode(
                                min(1.0, ($wanted[$look][$level][$c] * $decode[ord($drawn[3 * $at + $c])]) / max(1e-4, $mean[$c])),
                            ),
                    ),
                );
            }
        }

        return $met;
    }

    /**
     * @return array{float, float} what stacks miss of their shades in the photo, in the mean of the picture: ΔE00, and value steps of nine
     */
    public function missed(): array
    {
        $pixels = [];
        for ($at = 0; $at < $this->material->width * $this->material->height; $at++) {
            $key = ord($this->material->looks[$at]) * LaidTones::LEVELS + ord($this->material->levels[$at]);
            $pixels[$key] = ($pixels[$key] ?? 0) + 1;
        }
        $sum = $steps = 0.0;
        foreach ($pixels as $key => $count) {
            [$look, $level] = [intdiv($key, LaidTones::LEVELS), $key % LaidTones::LEVELS];
            $foreseen = Srgb::ofBytes(
                ...array_map(static fn (float $v): float => 255 * Srgb::encode(max(0.0, min(1.0, $v))), $this->foreseen[$look][$level]),
            )->lab();
            $sum += $count * $foreseen->deltaE00($this->wanted[$look][$level]);
            $steps += ($count * abs($foreseen->l - $this->wanted[$look][$level]->l)) / (100 / 9);
        }

        return [$sum / array_sum($pixels), $steps / array_sum($pixels)];
    }
}
