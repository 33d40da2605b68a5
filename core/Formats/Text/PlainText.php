<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Text;

/** The text of a file, however a spreadsheet wrote it. */
final class PlainText
{
    /**
     * In UTF-8 and without a byte order mark. What is neither UTF-8 nor marked as UTF-16 is taken for Windows-1252, in which spreadsheets
     * write where nothing else was asked of them: there every byte is some character, so that nothing is lost.
     */
    public static function of(string $bytes): string
    {
        $text = match (true) {
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };

        return str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
    }
}
