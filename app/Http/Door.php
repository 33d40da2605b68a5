<?php

declare(strict_types=1);

namespace App\Http;

/**
 * What is looked at of a request before anything of it is read into values: the framework decodes a body when it first sees it, long before
 * anybody is known to be signed in, and a value takes a hundred times the memory of its text. The web server has bounded the bytes by then
 * (ops/nginx.conf.in); here are the same bounds once more, and how many values there are and how deep they lie.
 */
final class Door
{
    /** Bytes of a body that carries no file; the longest that a page sends is an outline of 3,000 points, some 120 kB. */
    public const MOST_BYTES = 262_144;

    /** Bytes of what may be sent without being signed in. */
    public const MOST_BYTES_OF_STRANGERS = 16_384;

    /** An outline has 9,000. */
    private const MOST_VALUES = 12_000;

    private const DEEPEST = 12;

    private const FOR_STRANGERS = '~^/(sign-in|accounts|sign-out|api/shared/[^/]*/note)/?$~';

    /**
     * @param  array<string, mixed>  $server  as PHP has it
     * @param  \Closure(): string  $body
     * @return ?array{int, string, string} status, title and sentence of a refusal; null when the request may come in
     */
    public static function refusal(array $server, \Closure $body): ?array
    {
        $type = strtolower((string) ($server['CONTENT_TYPE'] ?? ''));
        if (str_starts_with($type, 'multipart/form-data')) {
            // PHP has put its files on the disk already, as far as the web server let it.
            return null;
        }
        $path = (string) parse_url((string) ($server['REQUEST_URI'] ?? ''), PHP_URL_PATH);
        $most = preg_match(self::FOR_STRANGERS, $path) === 1 ? self::MOST_BYTES_OF_STRANGERS : self::MOST_BYTES;
        if ((int) ($server['CONTENT_LENGTH'] ?? 0) > $most) {
            return [413, 'The request is too large', 'This is too much at once; send it in smaller parts.'];
        }
        if (preg_match('~[/+]json~', $type) !== 1) {
            return null;
        }
        $text = $body();
        if (strlen($text) > $most) {
            return [413, 'The request is too large', 'This is too much at once; send it in smaller parts.'];
        }
        // Every value but the first of its list or object follows a comma or begins another.
        if (substr_count($text, '{') + substr_count($text, '[') + substr_count($text, ',') > self::MOST_VALUES) {
            return [
                422,
                'The request holds too much',
                sprintf('A request may hold up to %s values; send it in smaller parts.', number_format(self::MOST_VALUES)),
            ];
        }
        json_decode($text, true, self::DEEPEST);

        return json_last_error() === JSON_ERROR_DEPTH
            ? [422, 'The request can’t be read', sprintf('Lists and objects may be up to %d deep.', self::DEEPEST)]
            : null;
    }

    /** Answers as {@see ProblemDetails} does, before there is a framework to do it. */
    public static function keep(): void
    {
        $refusal = self::refusal($_SERVER, static fn (): string => (string) file_get_contents('php://input'));
        if ($refusal === null) {
            return;
        }
        [$status, $title, $detail] = $refusal;
        http_response_code($status);
        header('Content-Type: application/problem+json');
        header('Cache-Control: no-store');
        header('X-Content-Type-Options: nosniff');
        echo json_encode(['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail]);

        exit();
    }
}
