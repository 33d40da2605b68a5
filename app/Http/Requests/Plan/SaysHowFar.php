<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use KnottyPrism\Core\Picture\PassesLaid;

/** A request that says how far the picture is laid: by so many passes of every zone, or by so many steps of the order of work. */
trait SaysHowFar
{
    /** @return array<string, list<string>> */
    private static function stepsRules(): array
    {
        return ['work' => ['sometimes', 'integer', 'between:0,9999']];
    }

    public function passes(): PassesLaid
    {
        return new PassesLaid(min(PassesLaid::MOST, $this->integer('step')));
    }

    /** @return int<0, max>|null steps of the order of work that are laid; null when passes are counted */
    public function work(): ?int
    {
        return $this->has('work') ? max(0, $this->integer('work')) : null;
    }
}
