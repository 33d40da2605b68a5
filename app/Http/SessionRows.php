<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database, written where something in them is new, and every few minutes so that they are known to be in use. */
final class SessionRows extends DatabaseSessionHandler
{
    /** Seconds; much less than a session lives. */
    private const IN_USE_TOLD_EVERY = 300;

    /** Seconds. */
    private const STRANGERS_LAST = 2 * 3600;

    private string|false|null $was = null;

    private int $writtenAt = 0;

    public function read($sessionId): string|false
    {
        $data = parent::read($sessionId);
        $this->was = $this->exists ? $data : null;

        return $data;
    }

    public function write($sessionId, $data): bool
    {
        if ($this->exists && $data === $this->was && time() - $this->writtenAt < self::IN_USE_TOLD_EVERY) {
            return true;
        }

        return parent::write($sessionId, $data);
    }

    public function setExists($value)
    {
        // Another row from here on: what was read is not what is in it.
        $this->was = null;

        return parent::setExists($value);
    }

    protected function expired($session): bool
    {
        $this->writtenAt = (int) ($session->last_activity ?? 0);

        return parent::expired($session);
    }

    /** A stranger's session holds nothing but the token of a page. */
    public function gc($lifetime): int
    {
        return parent::gc($lifetime) +
            $this->getQuery()
                ->whereNull('user_id')
                ->where('last_activity', '<=', $this->currentTime() - self::STRANGERS_LAST)
                ->delete();
    }
}
