<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\IpUtils;

/** Names and addresses by which a request says where it goes, or where it comes from. */
final class Hosts
{
    /** The name or address alone, in small letters; of an address in an URL as well. */
    public static function nameIn(string $text): string
    {
        $authority = preg_match('~^[a-z]+://([^/]*)~i', $text, $match) === 1 ? $match[1] : $text;

        return trim(mb_strtolower((string) preg_replace('/:\d*$/', '', $authority)), '[]');
    }

    public static function isLoopback(string $host): bool
    {
        return $host === 'localhost' ||
            (filter_var($host, FILTER_VALIDATE_IP) !== false && IpUtils::checkIp($host, ['127.0.0.0/8', '::1']));
    }
}
