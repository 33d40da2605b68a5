<?php

declare(strict_types=1);

namespace App\History;

/** An undo or redo that was meant for something else than what it would take back now: another tab or device came in between. */
final class ChangedElsewhere extends \DomainException
{
    private function __construct(string $message)
    {
        parent::__construct($message);
    }

    /** @param  ?string  $latest  what was done there last; null when that was taken back */
    public static function by(?string $latest): self
    {
        return new self(
            sprintf(
                'Changed on another device meanwhile: %s. Nothing was undone; check it first, then undo or redo again.',
                $latest ?? 'something was undone',
            ),
        );
    }

    /**
     * @param  ?int  $meant  what the page showed; null when it did not say
     *
     * @throws self when it is not what is there
     */
    public static function check(?int $meant, int $there, ?string $latest): void
    {
        if ($meant !== null && $meant !== $there) {
            throw self::by($latest);
        }
    }
}
