<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use KnottyPrism\Core\Chart\Check\Progress;

/** A request that says how many passes of every zone are laid. */
trait SaysPasses
{
    /** @return array<string, list<string>> */
    private static function passesRules(): array
    {
        return ['passes' => ['required', 'integer', 'min:0', 'max:'.Progress::MOST]];
    }

    public function passes(): int
    {
        return $this->integer('passes');
    }
}
