<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\UploadedFile;

/** A request with a photo file in it. */
trait CarriesPhoto
{
    /** @return list<string> */
    private static function photoRules(): array
    {
        return ['required', 'file', 'max:61440']; // kilobytes
    }

    /** @return array<string, string> */
    private static function photoMessages(string $wanted): array
    {
        return [
            'photo.required' => $wanted,
            'photo.uploaded' => 'The photo did not arrive completely, or is larger than 60 MB; try again, or save a smaller copy.',
            'photo.max' => 'A photo may be up to 60 MB; save a smaller copy and try again.',
        ];
    }

    public function photo(): UploadedFile
    {
        $file = $this->file('photo');

        return $file instanceof UploadedFile ? $file : throw new \LogicException('validated above');
    }
}
