<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Services\PictureChanges;
use Illuminate\Foundation\Http\FormRequest;

/** One change of the plan of a picture. */
final class PictureChangeRequest extends FormRequest
{
    use IsOneChange;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->rulesFor(PictureChanges::kinds(), PictureChanges::rules($this->kind()));
    }
}
