<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use KnottyPrism\Core\Error\CoreError;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');
pest()->extend(TestCase::class)->in('Upgrade');

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

// An answer in the form of its schema in docs/openapi.yaml, from which the page's types are made.
expect()->extend('toFitThePage', function (string $schema) {
    static $schemas = null;
    $schemas ??= json_decode(
        str_replace(
            '#\/components\/schemas\/',
            '#\/$defs\/',
            (string) json_encode(Yaml::parseFile(base_path('docs/openapi.yaml'))['components']['schemas']),
        ),
    );
    $result = (new Validator())->validate(
        json_decode((string) json_encode($this->value)),
        (object) ['$ref' => "#/\$defs/$schema", '$defs' => $schemas],
    );
    expect($result->isValid())->toBeTrue("$schema: ".json_encode($result->error()?->args()));

    return $this;
});

function uploadOf(string $content, string $name): UploadedFile
{
    $path = (string) tempnam(sys_get_temp_dir(), 'kp');
    file_put_contents($path, $content);

    return new UploadedFile($path, $name, null, null, true);
}

// What more than one test is built from.
foreach (glob(__DIR__.'/builders/*.php') ?: [] as $builder) {
    require_once $builder;
}
