<?php

declare(strict_types=1);

namespace App\Hands;

use App\Models\AccountImport;
use App\Models\HandVersion;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\Strip;

/** The hands of an account, one for each paper: learned from strips, taken back, and under every paper that is predicted on. */
final class HandKeeper
{
    /** Versions of a paper that are kept. */
    private const KEPT = 20;

    /** The paper as this artist works on it. */
    public function paper(User $user, string $name): Paper
    {
        $paper = PaperShelf::named($name);
        $hand = $this->inUse($user, $name)?->hand();

        return $hand === null ? $paper : $paper->under($hand);
    }

    /** Nothing for the even hand. */
    public function inUse(User $user, string $paper): ?HandVersion
    {
        return HandVersion::query()->where('user_id', $user->id)->where('paper', $paper)->where('in_use', true)->first();
    }

    /** @return array<string, string> what is said of the hands in use, by paper */
    public function words(User $user): array
    {
        $words = [];
        foreach (HandVersion::query()->where('user_id', $user->id)->where('in_use', true)->get() as $version) {
            $words[$version->paper] = $version->words;
        }

        return $words;
    }

    /** @return list<HandVersion> the newest first */
    public function versions(User $user, string $paper): array
    {
        return array_values(
            HandVersion::query()->where('user_id', $user->id)->where('paper', $paper)->orderByDesc('number')->get()->all(),
        );
    }

    /**
     * Learns from strips, beside those that the hand in use was learned from.
     *
     * @param  non-empty-list<Strip>  $strips
     * @param  Drawer  $shelf  in which the pencils of earlier strips are found; those whose pencils are gone are left out
     */
    public function learn(User $user, string $name, array $strips, Drawer $shelf): HandVersion
    {
        $paper = PaperShelf::named($name);

        return DB::transaction(function () use ($user, $name, $strips, $shelf, $paper): HandVersion {
            AccountImport::refuseMeanwhile($user->id);
            User::query()->whereKey($user->id)->lockForUpdate()->first();
            $all = array_slice([...$strips, ...$this->earlier($this->inUse($user, $name), $shelf)], 0, LearnHand::MOST_STRIPS);
            $learnt = LearnHand::from($all, $paper);
            $newest = HandVersion::query()->where('user_id', $user->id)->where('paper', $name)->max('number');
            $number = 1 + (is_numeric($newest) ? (int) $newest : 0);
            HandVersion::query()
                ->where('user_id', $user->id)
                ->where('paper', $name)
                ->update(['in_use' => false]);
            HandVersion::query()
                ->where('user_id', $user->id)
                ->where('paper', $name)
                ->where('number', '<=', $number - self::KEPT)
                ->delete();

            return HandVersion::query()->create([
                'user_id' => $user->id,
                'paper' => $name,
                'number' => $number,
                'in_use' => true,
                'hand' => $learnt->hand->toArray(),
                'words' => $learnt->words($paper),
                'strips' => array_map(static fn (Strip $s): array => ['stack' => $s->stack->text(), 'lab' => $s->found->toArray()], $all),
                'rms_before' => $learnt->before,
                'rms_after' => $learnt->after,
            ]);
        });
    }

    /** Goes to another version, or at 0 back to the even hand; nothing is forgotten. */
    public function use(User $user, string $paper, int $number): void
    {
        DB::transaction(static function () use ($user, $paper, $number): void {
            AccountImport::refuseMeanwhile($user->id);
            User::query()->whereKey($user->id)->lockForUpdate()->first();
            $all = HandVersion::query()->where('user_id', $user->id)->where('paper', $paper);
            if ($number > 0 && (clone $all)->where('number', $number)->doesntExist()) {
                throw ImpossibleChange::because('This version is no longer kept.');
            }
            (clone $all)->update(['in_use' => false]);
            (clone $all)->where('number', $number)->update(['in_use' => true]);
        });
    }

    /** @return list<Strip> */
    public function earlier(?HandVersion $version, Drawer $shelf): array
    {
        $strips = [];
        foreach ($version->strips ?? [] as ['stack' => $stack, 'lab' => [$l, $a, $b]]) {
            try {
                $strips[] = new Strip(StackText::read($stack, $shelf), new Lab($l, $a, $b));
            } catch (CoreError) {
                continue;
            }
        }

        return $strips;
    }
}
