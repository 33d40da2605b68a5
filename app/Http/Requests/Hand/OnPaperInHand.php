<?php

declare(strict_types=1);

namespace App\Http\Requests\Hand;

use App\Http\Requests\OnPaper;
use App\Models\Study;
use App\Models\User;
use App\Plans\AskedStrips;
use App\Plans\StripKind;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Validation\Rule;

/** A request about the hand on a paper, which may name the study whose plan the strips are of. */
trait OnPaperInHand
{
    use OnPaper;

    /** @return array<string, list<mixed>> */
    private function handRules(): array
    {
        return [
            ...self::paperRules(),
            'study' => ['sometimes', 'integer'],
            'of' => ['sometimes', Rule::enum(StripKind::class)],
            'zone' => ['required_if:of,zone', 'integer', 'min:1'],
        ];
    }

    public function asked(): AskedStrips
    {
        return new AskedStrips(
            $this->study(),
            StripKind::from($this->string('of', StripKind::Pencils->value)->toString()),
            $this->has('zone') ? $this->integer('zone') : null,
        );
    }

    private function study(): ?Study
    {
        if (! $this->has('study')) {
            return null;
        }
        $user = $this->user();

        return Study::query()
            ->where('user_id', $user instanceof User ? $user->id : 0)
            ->find($this->integer('study')) ?? throw new ModelNotFoundException();
    }
}
