<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Medium\PencilRecord;

/** A drawer as CSV or JSON, so that reading it again gives the same drawer. */
final class DrawerWriter
{
    /** @param  list<PencilRecord>  $records */
    public static function csv(array $records): string
    {
        $stream = fopen('php://memory', 'r+') ?: throw new \LogicException('memory can always be opened');
        fputcsv($stream, RecordFields::COLUMNS, escape: '', eol: "\r\n");
        foreach ($records as $record) {
            fputcsv($stream, array_map(static fn (string|float|bool|null $v): string => is_bool($v) ? ($v ? 'yes' : 'no') : (string) $v, self::fields($record)), escape: '', eol: "\r\n");
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** @param  list<PencilRecord>  $records */
    public static function json(array $records): string
    {
        $pencils = array_map(static fn (PencilRecord $r): array => array_filter(self::fields($r), static fn (string|float|bool|null $v): bool => $v !== null && $v !== ''), $records);

        return json_encode(['pencils' => $pencils], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, string|float|bool|null> by column */
    private static function fields(PencilRecord $r): array
    {
        return [
            'line' => $r->line, 'number' => $r->number, 'name' => $r->name, 'binder' => $r->binder?->value, 'heavy' => $r->heavy, 'light' => $r->light, 'over_black' => $r->overBlack,
            'opacity' => $r->opacity?->value, 'laydown' => $r->laydown, 'lightfast' => $r->lightfast, 'owned' => $r->owned,
        ];
    }
}
