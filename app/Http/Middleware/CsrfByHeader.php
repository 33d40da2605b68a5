<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** The page carries its token itself and sends it as a header; no cookie that scripts can read is set. */
final class CsrfByHeader extends ValidateCsrfToken
{
    protected $addHttpCookie = false;
}
