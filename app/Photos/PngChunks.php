<?php

declare(strict_types=1);

namespace App\Photos;

use KnottyPrism\Core\Error\BadFile;

/**
 * A PNG without what no photo needs: texts may be packed so that a small file fills the memory of whoever reads it, and are left out
 * unread. Source: Portable Network Graphics (PNG) Specification, W3C, sections 5.3 (chunks), 11.3.2.3 (iCCP).
 */
final class PngChunks
{
    private const SIGNATURE = "\x89PNG\r\n\x1A\n";

    /** Chunks that say what the pixels are and mean. */
    private const KEPT = ['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'cHRM', 'gAMA', 'sRGB', 'iCCP', 'eXIf', 'pHYs', 'sBIT'];

    private const MOST_PROFILE_BYTES = 8_000_000;

    /** Bytes of any chunk that is not pixels. */
    private const MOST_BYTES = 4_000_000;

    /** Encoders cut pixels into a few thousand pieces at most; a million empty ones are meant to take time. */
    private const MOST_CHUNKS = 200_000;

    /**
     * @return string path of the plain copy, the caller's to remove
     *
     * @throws BadFile
     */
    public static function plain(string $path): string
    {
        $from = fopen($path, 'rb') ?: throw new \RuntimeException('The uploaded file vanished.');
        $copy = (string) tempnam(sys_get_temp_dir(), 'kp');
        $to = fopen($copy, 'wb') ?: throw new \RuntimeException('The folder for passing files can’t be written.');
        try {
            self::copy($from, $to);
        } catch (\Throwable $error) {
            unlink($copy);

            throw $error;
        } finally {
            fclose($from);
            fclose($to);
        }

        return $copy;
    }

    /**
     * @param  resource  $from
     * @param  resource  $to
     */
    private static function copy(mixed $from, mixed $to): void
    {
        if (fread($from, 8) !== self::SIGNATURE) {
            throw self::damaged();
        }
        self::write($to, self::SIGNATURE);
        for ($n = 0; $n < self::MOST_CHUNKS; $n++) {
            $head = (string) fread($from, 8);
            if (strlen($head) < 8) {
                throw self::damaged();
            }
            /** @var array{length: int, type: string} $chunk */
            $chunk = unpack('Nlength/a4type', $head);
            if (! in_array($chunk['type'], self::KEPT, true)) {
                fseek($from, $chunk['length'] + 4, SEEK_CUR);

                continue;
            }
            if ($chunk['type'] === 'IDAT') {
                self::write($to, $head);
                if (stream_copy_to_stream($from, $to, $chunk['length'] + 4) !== $chunk['length'] + 4) {
                    throw self::damaged();
                }

                continue;
            }
            if ($chunk['length'] > self::MOST_BYTES) {
                throw self::damaged();
            }
            $body = (string) stream_get_contents($from, $chunk['length'] + 4);
            if ($chunk['type'] === 'iCCP' && ! self::isModest(substr($body, 0, $chunk['length']))) {
                throw BadFile::because(
                    'The colour profile in this picture is far too large for one; export it again with an ordinary profile.',
                );
            }
            self::write($to, $head.$body);
            if ($chunk['type'] === 'IEND') {
                return;
            }
        }

        throw self::damaged();
    }

    /** Whether a packed profile stays within bounds; it is never unpacked beyond them. */
    private static function isModest(string $body): bool
    {
        $nameEnds = strpos($body, "\0");
        $packed = $nameEnds === false ? '' : substr($body, $nameEnds + 2);
        $inflate = inflate_init(ZLIB_ENCODING_DEFLATE) ?: throw new \LogicException('this way of packing is always known');
        $bytes = 0;
        foreach (str_split($packed, 1024) as $part) {
            // A kilobyte unpacks to a megabyte at most.
            $bytes += strlen((string) @inflate_add($inflate, $part));
            if ($bytes > self::MOST_PROFILE_BYTES) {
                return false;
            }
        }

        return true;
    }

    /** @param  resource  $to */
    private static function write(mixed $to, string $bytes): void
    {
        if (fwrite($to, $bytes) !== strlen($bytes)) {
            throw new \RuntimeException('No space left on device');
        }
    }

    private static function damaged(): BadFile
    {
        return BadFile::because('The picture is damaged and can’t be read to its end; export it again from the original.');
    }
}
