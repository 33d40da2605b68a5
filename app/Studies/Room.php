<?php

declare(strict_types=1);

namespace App\Studies;

use App\Models\Photo;
use App\Models\User;
use App\Photos\PhotoStore;
use KnottyPrism\Core\Error\ImpossibleChange;

/** How much room an account's photos take, of what one may take. */
final class Room
{
    public function __construct(private readonly PhotoStore $store)
    {
    }

    /** Bytes. */
    public static function most(): int
    {
        return 1_000_000 * (int) config('app.most_megabytes');
    }

    /** Bytes of the photos as they came; copies to look at come on top of that. */
    public function taken(User $user): int
    {
        return (int) Photo::query()->whereHas('study', static fn ($study) => $study->where('user_id', $user->id))->get()->sum(fn (Photo $photo): int => (int) rescue(fn (): int => $this->store->originalBytes($photo), 0, false));
    }

    /** @throws ImpossibleChange where there is none for so many bytes more */
    public function keepFor(User $user, int $bytes): void
    {
        $taken = $this->taken($user);
        if ($taken + $bytes > self::most()) {
            throw ImpossibleChange::because(sprintf(
                'Your photos take %s of the %s MB that an account may have here, and this one needs %s. Delete a study that you no longer need (save its file first), or a photo in one; then try again.',
                number_format($taken / 1e6), number_format(self::most() / 1e6), number_format(max(1, $bytes / 1e6)),
            ));
        }
    }
}
