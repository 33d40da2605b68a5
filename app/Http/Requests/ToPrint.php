<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Print\PdfPage;
use Illuminate\Validation\Rule;

/** A request for something to print, which may say on what size of sheet. */
trait ToPrint
{
    /** @return array<string, list<mixed>> */
    private static function sizeRules(): array
    {
        return ['size' => ['sometimes', Rule::in(array_keys(PdfPage::SIZES))]];
    }

    public function size(): string
    {
        return (string) $this->string('size', 'a4');
    }
}
