<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use KnottyPrism\Core\Picture\PassesLaid;

/** A request that says how many passes of every zone are laid, and of which zones it is another number. */
trait SaysPasses
{
    /** "3:2,5:0": zone 3 has two passes, zone 5 none. */
    private const ZONES = 'regex:/^\d{1,3}:\d{1,2}(?:,\d{1,3}:\d{1,2})*$/';

    /** @return array<string, list<string>> */
    private static function passesRules(): array
    {
        return [
            'passes' => ['required', 'integer', 'min:0', 'max:'.PassesLaid::MOST],
            'zones' => ['sometimes', 'nullable', 'string', 'max:600', self::ZONES],
        ];
    }

    public function progress(): PassesLaid
    {
        $byZone = [];
        foreach ($this->filled('zones') ? explode(',', (string) $this->string('zones')) : [] as $one) {
            [$zone, $passes] = array_map(intval(...), explode(':', $one));
            $byZone[$zone] = $passes;
        }

        return new PassesLaid($this->integer('passes'), $byZone);
    }
}
