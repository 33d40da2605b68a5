<?php

declare(strict_types=1);

namespace App\Photos;

/**
 * Whether a fault, or what lies behind it, is that the disk is full: files, the database and its temporary tables each say it otherwise.
 */
final class FullDisk
{
    /**
     * Of the operating system ("No space left on device"; errno 28), of flysystem and PHP ("possibly out of free disk space"), and of
     * MariaDB: 1021 ER_DISK_FULL, 1114 ER_RECORD_FILE_FULL, 1026 and 3 writing a file, 1030 with errno 28.
     */
    private const SAID = '/No space left on device|out of free disk space|\b1021\b.*[Dd]isk full|\b1114\b.*is full|[Ee]rrcode: '
        .'28\b|error 28\b|Disk quota exceeded/';

    /** With less than this a photo may not find room any more. */
    public const LEAST_FREE_BYTES = 50_000_000;

    public static function isSaidBy(\Throwable $error): bool
    {
        for ($at = $error; $at !== null; $at = $at->getPrevious()) {
            if (preg_match(self::SAID, $at->getMessage()) === 1) {
                return true;
            }
        }

        return false;
    }

    /** Free bytes where photos are kept; null when that is no disk. */
    public static function freeBytes(string $folder): ?int
    {
        $free = @disk_free_space($folder);

        return $free === false ? null : (int) $free;
    }
}
