<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Stack\LaidStack;

/** A stack done step by step, with what a warning wants to know of each: colour, tooth, and how well the pass took. */
final readonly class Trace
{
    /**
     * @param  list<Pass|Finish>  $steps
     * @param  list<Lab>  $labs  after each step
     * @param  list<float>  $toothUsed  after each step, 0–1
     * @param  list<float>  $taken film that each pass laid, relative to what it would lay on the same fill without slickness; 1 for
     *   finishes
     * @param  float  $waxFilm  mean film of wax pencils in the end, film units
     * @param  Evenness  $evenness  in the end
     * @param  list<int>  $numbers  what each step is called, see {@see self::of()}
     */
    private function __construct(
        public Paper $paper,
        public array $steps,
        public array $labs,
        public array $toothUsed,
        public array $taken,
        public float $waxFilm,
        public Evenness $evenness,
        private array $numbers,
    ) {
    }

    /** @param  list<int>  $numbers  which pass of its sequence each step is, 1 the first */
    public static function of(LaidStack $laid, array $numbers): self
    {
        $labs = $tooth = $taken = [];
        $wax = 0.0;
        foreach ($laid->stack->steps as $i => $step) {
            $taken[] = self::share($laid->after($i), $step);
            if ($step instanceof Pass && $step->pencil->record->binder?->blooms() === true) {
                $wax += max(0.0, array_sum($laid->after($i + 1)->fill) - array_sum($laid->after($i)->fill)) / Tooth::STRATA;
            }
            $labs[] = $laid->lab($i + 1);
            $tooth[] = $laid->after($i + 1)->toothUsed();
        }

        return new self(
            $laid->after(0)->paper,
            $laid->stack->steps,
            $labs,
            $tooth,
            $taken,
            $wax,
            Evenness::of($laid->after($laid->steps())),
            $numbers,
        );
    }

    /** What a step (0 the first) is called. */
    public function number(int $step): int
    {
        return $this->numbers[$step];
    }

    /** The colour before a step (0 the first). */
    public function before(int $step): Lab
    {
        return $this->labs[$step - 1] ?? Lab::ofReflectance($this->paper->reflectance);
    }

    public function final(): Lab
    {
        return $this->before(count($this->steps));
    }

    /** @return array<int, Pass> the passes by their step */
    public function passes(): array
    {
        return array_filter($this->steps, static fn (Pass|Finish $s): bool => $s instanceof Pass && ! $s->pencil->isBlender());
    }

    private static function share(Sheet $sheet, Pass|Finish $step): float
    {
        if (! ($step instanceof Pass) || $step->pencil->isBlender()) {
            return 1.0;
        }
        $pressure = $sheet->paper->hand->presses($step->pressure);
        $matt = clone $sheet;
        $matt->slick = array_fill(0, Tooth::STRATA, 0.0);
        $could = array_sum(LayPass::laidFilm($matt, $step->pencil->laydown, $pressure));

        return $could < 1e-6 ? 1.0 : array_sum(LayPass::laidFilm($sheet, $step->pencil->laydown, $pressure)) / $could;
    }
}
