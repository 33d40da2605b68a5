<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Reading;

use KnottyPrism\Core\Colour\Contrast;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Where two photos of the same subject differ as wholes: in their shadows, middles and lights, by the means of the darkest quarter of their
 * pixels, the middle half, the lightest quarter.
 */
final readonly class PhotoComparison
{
    private const BANDS = ['shadows' => [0.0, 0.25], 'middles' => [0.25, 0.75], 'lights' => [0.75, 1.0]];

    /** @var array<string, Contrast> of the first photo from the second, by band */
    public array $bands;

    public Contrast $whole;

    public function __construct(PixelGrid $one, PixelGrid $other)
    {
        $bands = [];
        foreach (self::BANDS as $band => $shares) {
            $bands[$band] = new Contrast(self::mean($one, $shares), self::mean($other, $shares));
        }
        $this->bands = $bands;
        $this->whole = new Contrast(self::mean($one, [0.0, 1.0]), self::mean($other, [0.0, 1.0]));
    }

    /** "The evening one is warmer by 9 and a step darker in the shadows." */
    public function sentence(string $name): string
    {
        $parts = array_filter([$this->whole->warmthWords()]);
        $values = array_filter(array_map(static fn (Contrast $c): ?string => $c->valueWords(), $this->bands));
        if (count($values) === count($this->bands) && count(array_unique($values)) === 1) {
            $parts[] = reset($values).' throughout';
        } else {
            foreach ($values as $band => $words) {
                $parts[] = "$words in the $band";
            }
        }
        $last = array_pop($parts);

        return $last === null
            ? "$name looks about the same."
            : sprintf('%s is %s.', $name, $parts === [] ? $last : implode(', ', $parts).' and '.$last);
    }

    /** @param  array{float, float}  $shares  of the pixels by L* */
    private static function mean(PixelGrid $grid, array $shares): Lab
    {
        $l = $grid->l;
        $pixels = array_keys($l);
        array_multisort($l, SORT_ASC, SORT_NUMERIC, $pixels);
        $from = (int) floor($shares[0] * count($pixels));
        $own = array_slice($pixels, $from, max(1, (int) floor($shares[1] * count($pixels)) - $from));
        $of = static fn (array $channel): float => array_sum(array_map(static fn (int $at): float => $channel[$at], $own)) / count($own);

        return new Lab($of($grid->l), $of($grid->a), $of($grid->b));
    }
}
