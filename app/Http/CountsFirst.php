<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Validation\Validator;

/** Counts a list before it looks at what is in it: of one that is longer than its rule allows, only that is said. */
final class CountsFirst extends Validator
{
    /** @param  array<string, mixed>  $rules */
    public function addRules($rules): void
    {
        foreach ($rules as $field => $of) {
            $most = self::mostOf(is_string($of) ? explode('|', $of) : (array) $of);
            $list = $most === null || str_contains($field, '*') ? null : data_get($this->getData(), $field);
            if (is_array($list) && count($list) > $most) {
                $rules = array_filter(
                    $rules,
                    static fn (string $other): bool => ! str_starts_with($other, "$field."),
                    ARRAY_FILTER_USE_KEY,
                );
            }
        }
        parent::addRules($rules);
    }

    /** @param  array<mixed>  $rules */
    private static function mostOf(array $rules): ?int
    {
        foreach ($rules as $rule) {
            if (is_string($rule) && str_starts_with($rule, 'max:')) {
                return (int) substr($rule, 4);
            }
        }

        return null;
    }
}
