<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use KnottyPrism\Core\Error\CoreError;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

// The core marks what it refuses with an interface, which the expectation for classes does not know.
expect()->extend('toBeRefused', function (string $says = ''): void {
    try {
        ($this->value)();
    } catch (CoreError $error) {
        expect($error->getMessage())->toContain($says);

        return;
    }
    expect(false)->toBeTrue('It was taken.');
});
