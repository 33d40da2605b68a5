<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Str;

/**
 * Answers that a page has already, or had a moment ago, given again before the framework is begun: beginning it is most of what an answer
 * costs. An answer is named by its address, the account, and how often anything of the account was changed ({@see Middleware\NothingNew}).
 *
 * Who may have it is said by a pass: a cookie that the framework sets once it knows who asks. It holds for minutes, for one session that is
 * still there, and for the password of that time; all of it is asked again each time, in one question to the database. Whatever is not as
 * it should be, the framework is asked.
 */
final class KeptAnswers
{
    public const PASS = 'knotty_prism_pass';

    /** Seconds. */
    private const PASS_LASTS = 300;

    /** Seconds; a change makes all of them worthless at once. */
    private const ANSWER_LASTS = 600;

    /** Bytes of one answer; there is room for some hundreds. */
    private const LARGEST = 400_000;

    /** What dries, is due again, or was today. */
    private const BY_THE_MINUTE = [
        'api/studies/*/desk',
        'api/studies/*/desk/*',
        'api/studies/*/practice',
        'api/studies/*/supply',
        'api/book/*',
    ];

    /**
     * What tells of work under way, past the account's clock, says itself that it is not to be kept (no-store).
     *
     * @param  string  $path  without the slash that it begins with
     */
    public static function mayBeKept(string $path): bool
    {
        return str_starts_with($path, 'api/');
    }

    /**
     * The name of an answer, in quotation marks: another one as soon as the answer may be another.
     *
     * @param  string  $uri  as it was asked for, with what is asked
     */
    public static function tag(string $uri, string $path, int $account, int $ticks, string $begun): string
    {
        clearstatcache(true, $begun);
        $parts = [$uri, $account, $ticks, @filemtime($begun), Str::is(self::BY_THE_MINUTE, $path) ? intdiv(time(), 60) : 0];

        return '"'.hash('xxh128', implode('|', $parts)).'"';
    }

    /** Whether a browser says that it has what is called so; a web server that packs an answer makes its name a weak one. */
    public static function isHad(string $ifNoneMatch, string $tag): bool
    {
        return in_array(
            $tag,
            array_map(static fn (string $t): string => preg_replace('~^W/~', '', trim($t)) ?? $t, explode(',', $ifNoneMatch)),
            true,
        );
    }

    public static function keep(string $tag, string $json): void
    {
        if (PHP_SAPI === 'fpm-fcgi' && function_exists('apcu_store') && strlen($json) <= self::LARGEST) {
            apcu_store("answer/$tag", (string) gzencode($json, 5), self::ANSWER_LASTS);
        }
    }

    /** @return array{string, int} a pass, and until when it holds, seconds since 1970 */
    public static function pass(int $account, string $session, string $password, string $key): array
    {
        $until = time() + self::PASS_LASTS;

        return ["$account.$until.$session.".self::sealed("$account.$until.$session", $password, $key), $until];
    }

    /**
     * @param  \Closure(int, string): ?array{password: string, ticks: int}  $known  what is known of an account that has this session
     * @return ?array{int, int} the account and its count of changes, where the pass holds
     */
    public static function admitted(string $pass, string $key, \Closure $known): ?array
    {
        if (preg_match('/^(\d{1,18})\.(\d{10})\.([A-Za-z0-9]{40})\.([0-9a-f]{64})$/D', $pass, $said) !== 1 || (int) $said[2] < time()) {
            return null;
        }
        $is = $known((int) $said[1], $said[3]);
        if ($is === null || ! hash_equals(self::sealed("$said[1].$said[2].$said[3]", $is['password'], $key), $said[4])) {
            return null;
        }

        return [(int) $said[1], $is['ticks']];
    }

    /** Answers and ends, where that can be done without the framework. */
    public static function answer(): void
    {
        $server = $_SERVER;
        $pass = $_COOKIE[self::PASS] ?? '';
        $made = getenv('APP_CONFIG_CACHE') ?: (string) ($server['APP_CONFIG_CACHE'] ?? '');
        $path = trim(rawurldecode((string) parse_url((string) ($server['REQUEST_URI'] ?? ''), PHP_URL_PATH)), '/');
        if (
            ($server['REQUEST_METHOD'] ?? '') !== 'GET' ||
            ! is_string($pass) ||
            $pass === '' ||
            ! is_file($made) ||
            ! self::mayBeKept($path)
        ) {
            return;
        }
        $config = require $made;
        $host = Hosts::nameIn((string) ($server['HTTP_HOST'] ?? ''));
        if ($config['session']['driver'] !== 'database' || (! Hosts::isLoopback($host) && $host !== $config['app']['host'])) {
            return;
        }
        try {
            $to = $config['database']['connections'][$config['database']['default']];
            $admitted = self::admitted(
                $pass,
                (string) $config['app']['key'],
                static fn (int $account, string $session): ?array => self::known($to, $account, $session),
            );
        } catch (\PDOException) {
            return;
        }
        if ($admitted !== null) {
            self::give(
                $server,
                self::tag((string) $server['REQUEST_URI'], $path, $admitted[0], $admitted[1], (string) $config['app']['begun']),
            );
        }
    }

    private static function sealed(string $what, string $password, string $key): string
    {
        return hash_hmac('sha256', "pass/$what/$password", $key);
    }

    /**
     * @param  array<string, mixed>  $to  a connection, as the framework has it
     * @return ?array{password: string, ticks: int}
     */
    private static function known(array $to, int $account, string $session): ?array
    {
        // Kept open from one request to the next: nothing is ever held or changed by it.
        $database = new \PDO(
            "mysql:host={$to['host']};port={$to['port']};dbname={$to['database']}",
            (string) $to['username'],
            (string) $to['password'],
            [\PDO::ATTR_PERSISTENT => true, \PDO::ATTR_TIMEOUT => 5, \PDO::ATTR_EMULATE_PREPARES => true],
        );
        $question = $database->prepare(
            'select u.password, coalesce(c.ticks, 0) as ticks from users u join sessions s on s.user_id = u.id and s.id = ? left join '
                .'account_clocks c on c.account = u.id where u.id = ?',
        );
        $question->execute([$session, $account]);
        $row = $question->fetch(\PDO::FETCH_ASSOC);

        return is_array($row) ? ['password' => (string) $row['password'], 'ticks' => (int) $row['ticks']] : null;
    }

    /** @param  array<string, mixed>  $server */
    private static function give(array $server, string $tag): void
    {
        $has = self::isHad((string) ($server['HTTP_IF_NONE_MATCH'] ?? ''), $tag);
        $kept = $has ? '' : (function_exists('apcu_fetch') ? apcu_fetch("answer/$tag") : false);
        if (! is_string($kept)) {
            return;
        }
        header("ETag: $tag");
        header('Cache-Control: no-cache, private');
        header('X-Content-Type-Options: nosniff');
        header('Cross-Origin-Resource-Policy: same-origin');
        header('Vary: Accept-Encoding');
        if ($has) {
            http_response_code(304);
            header_remove('Content-Type');

            exit();
        }
        header('Content-Type: application/json');
        if (str_contains((string) ($server['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')) {
            header('Content-Encoding: gzip');
            echo $kept;
        } else {
            echo gzdecode($kept);
        }

        exit();
    }
}
