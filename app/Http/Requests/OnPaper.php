<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** A request that may say which paper it means; white and of medium tooth where it does not. */
trait OnPaper
{
    /** @return array<string, list<mixed>> */
    private static function paperRules(): array
    {
        return ['paper' => ['sometimes', Rule::in(PaperShelf::names())]];
    }

    public function paper(): string
    {
        return (string) $this->string('paper', 'white medium');
    }
}
