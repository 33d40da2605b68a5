<?php

declare(strict_types=1);

namespace App\Book;

use App\Cache\AccountClock;
use App\Models\SharedPlan;
use App\Models\Study;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Str;

/** Links by which a plan is looked at without signing in: one a study, long and of chance, gone when it is withdrawn. */
final class SharedPlans
{
    private const LENGTH = 48;

    public function of(Study $study): ?SharedPlan
    {
        return SharedPlan::query()->where('study_id', $study->id)->first();
    }

    public function share(Study $study): int
    {
        return ($this->of($study) ?? SharedPlan::query()->create(['study_id' => $study->id, 'token' => Str::random(self::LENGTH)]))->id;
    }

    public function withdraw(Study $study): int
    {
        SharedPlan::query()->where('study_id', $study->id)->delete();

        return $study->id;
    }

    /** @throws ModelNotFoundException when there is no such link, or none any more */
    public function named(string $token): SharedPlan
    {
        return SharedPlan::query()->where('token', $token)->first() ?? throw new ModelNotFoundException;
    }

    public function note(SharedPlan $shared, ?int $photo, string $note): void
    {
        $shared->update(['wanted_photo_id' => $photo, 'note' => $note, 'noted_at' => time()]);
        AccountClock::tickOf(Study::query()->findOrFail($shared->study_id));
    }
}
