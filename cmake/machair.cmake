# One way to declare a module, so that every one of our targets is held to the same warnings.

add_library(machair_strict INTERFACE)
# Errors where we work and check. What users build is not stopped by a warning, and GCC 12's wrong ones of its own
# std::string at -O3 (its bugs 105329, 105651 and their like) are left out there.
target_compile_options(machair_strict INTERFACE -Wall -Wextra -Wconversion -Wshadow -Wpedantic
  # Clang blames std::ranges::stable_sort of GCC 12's library on whoever instantiates it.
  $<$<CXX_COMPILER_ID:Clang>:-Wno-deprecated-declarations> $<$<NOT:$<CONFIG:Release>>:-Werror>
  "$<$<AND:$<CONFIG:Release>,$<CXX_COMPILER_ID:GNU>>:-Wno-stringop-overflow;-Wno-stringop-overread;-Wno-array-bounds;-Wno-restrict>")
if(MACHAIR_SANITIZE)
  target_compile_options(machair_strict INTERFACE -fsanitize=address,undefined -fno-omit-frame-pointer)
  target_link_options(machair_strict INTERFACE -fsanitize=address,undefined)
endif()
if(MACHAIR_FUZZ)
  target_compile_options(machair_strict INTERFACE -fsanitize=fuzzer-no-link,address,undefined -fno-sanitize-recover=undefined -fno-omit-frame-pointer)
  target_link_options(machair_strict INTERFACE -fsanitize=address,undefined)
endif()
# The standard library's own assertions stay on where we work and check: an index past the end stops there.
target_compile_definitions(machair_strict INTERFACE $<$<NOT:$<CONFIG:Release>>:_GLIBCXX_ASSERTIONS>)

# machair_module(NAME SOURCES … DEPENDS … PRECOMPILE …): a static library that other modules include as "folder/header.h".
# What most of its sources include anyway is compiled once: the checks have 15 minutes on two cores.
function(machair_module name)
  cmake_parse_arguments(ARG "" "" "SOURCES;DEPENDS;PRECOMPILE" ${ARGN})
  add_library(${name} STATIC ${ARG_SOURCES})
  target_include_directories(${name} PUBLIC ${PROJECT_SOURCE_DIR}/core ${PROJECT_SOURCE_DIR})
  target_link_libraries(${name} PUBLIC ${ARG_DEPENDS} PRIVATE machair_strict)
  if(ARG_PRECOMPILE)
    target_precompile_headers(${name} PRIVATE ${ARG_PRECOMPILE})
  endif()
endfunction()
