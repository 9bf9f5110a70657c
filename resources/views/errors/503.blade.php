@include('errors.problem', ['code' => 503])
