<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Strips;

use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;

/** A hand as strips have taught it, with how far that is to be believed. */
final readonly class LearntHand
{
    /** A share below which nobody would notice. */
    private const WORTH_TELLING = 0.06;

    /**
     * @param  float  $before  RMS ΔE00 of the strips from what an even hand would have laid
     * @param  float  $after  the same from what this hand would
     * @param  float  $sureness  deviation of the pressure that was found, as a share
     */
    public function __construct(
        public Hand $hand,
        public int $strips,
        public float $before,
        public float $after,
        public float $sureness,
    ) {
    }

    /** What it lays at medium pressure on the bare paper, over what an even hand does. */
    public function film(Paper $paper): float
    {
        $film = static function (Hand $hand) use ($paper): float {
            $sheet = new Sheet($paper->under($hand));

            return $hand->laydown * array_sum(LayPass::laidFilm($sheet, 1.0, $hand->presses(Pressure::Medium->share())));
        };

        return $film($this->hand) / $film(Hand::even());
    }

    /** In words, for the one whose hand it is. */
    public function words(Paper $paper): string
    {
        $more = $this->film($paper) - 1;
        $weight =
            abs($more) < max(self::WORTH_TELLING, $this->sureness)
                ? 'You lay about as much as planned'
                : sprintf('You lay %s than planned', self::share(abs($more), $more > 0));
        $even = match (true) {
            $this->hand->spread > 1.25 => 'and your passes differ more from each other than an ordinary hand\'s',
            $this->hand->spread < 0.8 => 'and your passes are more alike than an ordinary hand\'s',
            default => 'and as evenly as an ordinary hand',
        };

        return sprintf('%s, %s (from %d strips).', $weight, $even, $this->strips);
    }

    private static function share(float $share, bool $isMore): string
    {
        foreach ([['a tenth', 0.1], ['a fifth', 0.2], ['a quarter', 0.25], ['a third', 0.33]] as [$words, $at]) {
            if (abs($share - $at) < 0.025) {
                return $words.($isMore ? ' more' : ' less');
            }
        }

        return sprintf('%d %% %s', (int) round(100 * $share), $isMore ? 'more' : 'less');
    }
}
