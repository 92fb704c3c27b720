<h1>Kind Ember</h1>
