<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\NextMove;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;

/**
 * A place on the paper as it really is: the passes that were laid, pressed as much harder or lighter as explains best what was found, and
 * what that leaves unexplained as a difference that further passes carry along. A stack of the plan would have other room left in the
 * tooth than the one that lies there.
 */
final readonly class AsItLies
{
    /** Deviation of the logarithm by which a hand presses otherwise than it meant to, over a few passes. */
    private const WANDERS = 0.25;

    /** What reading a colour errs by. */
    private const READING = 1.0;

    /** No farther than that the passes are bent to what was found. */
    private const FARTHEST = 0.7;

    private const STEPS = 14;

    private function __construct(public Sheet $sheet, public Lab $found, private Lab $explained)
    {
    }

    public static function of(Stack $done, Lab $found, Paper $paper): self
    {
        $laid = static fn (float $log): Sheet => $done->on($paper->under(self::pressing($paper->hand, exp($log))));
        $unlikely = static fn (float $log): float => (Lab::ofXyz($laid($log)->xyz())->deltaE00($found) / self::READING) ** 2 +
            ($log / self::WANDERS) ** 2;
        $log = $done->passes() === [] ? 0.0 : self::least($unlikely);
        $sheet = $laid($log);

        return new self($sheet, $found, Lab::ofXyz($sheet->xyz()));
    }

    /** What would be seen there with more laid on it. */
    public function look(Sheet $sheet): Lab
    {
        $look = Lab::ofXyz($sheet->xyz());

        return new Lab(
            max(0.0, min(100.0, $look->l + $this->found->l - $this->explained->l)),
            $look->a + $this->found->a - $this->explained->a,
            $look->b + $this->found->b - $this->explained->b,
        );
    }

    private static function pressing(Hand $hand, float $factor): Hand
    {
        [$least, $most] = Hand::RANGES['pressure'];

        return new Hand(
            max($least, min($most, $hand->pressure * $factor)),
            $hand->laydown,
            $hand->spread,
            $hand->drag,
            $hand->packing,
            $hand->contact,
            $hand->pencils,
        );
    }

    /**
     * Where a function of one valley is least between the farthest hands, by golden sections (J. Kiefer, 1953).
     *
     * @param  \Closure(float): float  $of
     */
    private static function least(\Closure $of): float
    {
        $golden = (sqrt(5) - 1) / 2;
        [$a, $b] = [-self::FARTHEST, self::FARTHEST];
        [$x, $y] = [$b - $golden * ($b - $a), $a + $golden * ($b - $a)];
        [$atX, $atY] = [$of($x), $of($y)];
        for ($step = 0; $step < self::STEPS; $step++) {
            if ($atX < $atY) {
                [$b, $y, $atY] = [$y, $x, $atX];
                $x = $b - $golden * ($b - $a);
                $atX = $of($x);
            } else {
                [$a, $x, $atX] = [$x, $y, $atY];
                $y = $a + $golden * ($b - $a);
                $atY = $of($y);
            }
        }

        return ($a + $b) / 2;
    }
}
