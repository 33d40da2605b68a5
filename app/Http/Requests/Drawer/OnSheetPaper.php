<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Validation\Rule;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** A request that may say on which paper pencils are coloured in to be measured: one that black print shows on. */
trait OnSheetPaper
{
    private const PAPER_SAYS = 'Pencils can only be measured on a paper where black print is visible; choose one from the list.';

    /** @return array<string, list<mixed>> */
    private static function paperRules(): array
    {
        return ['paper' => ['sometimes', Rule::in(PaperShelf::printable())]];
    }

    public function paper(): string
    {
        return (string) $this->string('paper', Paper::whiteMedium()->name);
    }
}
