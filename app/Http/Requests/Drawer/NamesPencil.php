<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

/** A request about one pencil of the account, by "Line/number". */
trait NamesPencil
{
    private const ID = ['required', 'string', 'max:130'];

    public function pencil(): string
    {
        return (string) $this->string('id');
    }
}
