<?php

declare(strict_types=1);

namespace App\Photos;

/**
 * Whether a picture file stops before its end, as after a broken copy. Decoders fill what is missing with grey and say nothing,
 * and grey would be measured as if it had been seen.
 */
final class CutOff
{
    /** @param  string  $kind as the decoder names it */
    public static function isCutOff(string $kind, string $bytes): bool
    {
        return match ($kind) {
            'PNG' => ! str_contains(substr($bytes, -4096), 'IEND'),
            // The end mark must follow the last scan; one before it belongs to a thumbnail.
            'JPEG' => strpos($bytes, "\xFF\xD9", (int) strrpos($bytes, "\xFF\xDA")) === false,
            'WEBP' => strlen($bytes) < 12 || strlen($bytes) < 8 + (unpack('V', substr($bytes, 4, 4))[1] ?? 0),
            default => false,
        };
    }
}
